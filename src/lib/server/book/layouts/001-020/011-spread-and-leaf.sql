-- What palms were found to have got.
CREATE TABLE spread_check (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	content TEXT NOT NULL CHECK (json_valid(content)), -- schemas/block.schema.json#/definitions/SpreadCheck
	made_on TEXT GENERATED ALWAYS AS (content ->> '$.date') VIRTUAL
) STRICT;
CREATE INDEX spread_check_by_field_year ON spread_check (field_year_id, made_on);

-- Leaf tests of a field, with part, stage and spot.
CREATE TABLE leaf_test (
	id TEXT PRIMARY KEY,
	field_id TEXT NOT NULL REFERENCES field (id),
	content TEXT NOT NULL CHECK (json_valid(content)), -- schemas/leaf-request.schema.json#/definitions/LeafLogEntry
	taken_on TEXT GENERATED ALWAYS AS (content ->> '$.takenOn') VIRTUAL
) STRICT;
CREATE INDEX leaf_test_by_field ON leaf_test (field_id, taken_on);
