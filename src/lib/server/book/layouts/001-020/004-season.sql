-- Weather that was measured, and the distances that the adviser keeps.

-- A station of the adviser's own; days as [date, minC, maxC, rainMm], in order.
CREATE TABLE station (
	id TEXT PRIMARY KEY,
	name TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 120),
	latitude REAL NOT NULL CHECK (latitude BETWEEN -66 AND 66),
	days TEXT NOT NULL CHECK (json_valid(days)),
	digest TEXT NOT NULL -- of the days: tells a reader that they changed
) STRICT;

ALTER TABLE field ADD COLUMN setbacks TEXT CHECK (setbacks IS NULL OR json_valid(setbacks)); -- house-rules.schema.json#/definitions/Setback
