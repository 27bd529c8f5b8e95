-- Bags of soil: what is to be pulled where, and how far each has come. The code stands on the label and in the lab's file.
CREATE TABLE bag (
	id TEXT PRIMARY KEY,
	field_id TEXT NOT NULL REFERENCES field (id),
	code TEXT NOT NULL UNIQUE,
	content TEXT NOT NULL CHECK (json_valid(content)), -- sampling.schema.json#/definitions/Bag
	sample_id TEXT REFERENCES sample (id) -- the sample that came back; null until then
) STRICT;
CREATE INDEX bag_by_field ON bag (field_id);
CREATE INDEX bag_by_sample ON bag (sample_id);

-- A sample of one zone: the rates of the field do not go by it.
ALTER TABLE sample ADD COLUMN zone TEXT GENERATED ALWAYS AS (report ->> '$.zone') VIRTUAL;
