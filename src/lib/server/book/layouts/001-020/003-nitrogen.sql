-- What the adviser wants of nitrogen, what was found in the standing crop, and the adviser's own response curves.

ALTER TABLE field_year ADD COLUMN nitrogen TEXT CHECK (nitrogen IS NULL OR json_valid(nitrogen)); -- NitrogenTerms

-- A test in the standing crop. The newest of a kind is the one in use.
CREATE TABLE crop_test (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	kind TEXT NOT NULL CHECK (kind IN ('nitrate', 'tillers', 'strips')),
	found TEXT NOT NULL CHECK (json_valid(found)), -- NitrateTest, TillerCount or ReferenceStrips
	taken_on TEXT GENERATED ALWAYS AS (found ->> '$.date') VIRTUAL
) STRICT;
CREATE INDEX crop_test_by_field_year ON crop_test (field_year_id, taken_on);

CREATE TABLE response_curve (
	id TEXT PRIMARY KEY,
	curve TEXT NOT NULL CHECK (json_valid(curve)) -- schemas/response.schema.json#/definitions/ResponseCurve
) STRICT;
