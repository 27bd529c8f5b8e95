-- The maps of a field: what was measured over it, its zones, what was to go on where, and what did.

-- Points as [longitude, latitude, value] (ground.schema.json#/definitions/PlacedPoint).
CREATE TABLE ground_layer (
	id TEXT PRIMARY KEY,
	field_id TEXT NOT NULL REFERENCES field (id),
	name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
	quantity TEXT NOT NULL,
	unit TEXT NOT NULL,
	taken_on TEXT,
	points TEXT NOT NULL CHECK (json_valid(points)),
	UNIQUE (field_id, name)
) STRICT;

CREATE TABLE zone (
	id TEXT PRIMARY KEY,
	field_id TEXT NOT NULL REFERENCES field (id),
	place INTEGER NOT NULL, -- where it stands in the list
	name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
	area_ac REAL NOT NULL CHECK (area_ac > 0),
	shape TEXT NOT NULL CHECK (json_valid(shape)), -- GeoJSON geometry, WGS 84
	facts TEXT NOT NULL CHECK (json_valid(facts)) -- ground.schema.json#/definitions/ZoneFacts
) STRICT;
CREATE INDEX zone_by_field ON zone (field_id, place);

-- A prescription as it was handed out.
CREATE TABLE prescription (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	made_at TEXT NOT NULL,
	content TEXT NOT NULL CHECK (json_valid(content)) -- ground.schema.json#/definitions/Prescription
) STRICT;
CREATE INDEX prescription_by_field_year ON prescription (field_year_id);
CREATE TRIGGER prescription_is_frozen BEFORE UPDATE ON prescription BEGIN SELECT raise(ABORT, 'a prescription is frozen'); END;

CREATE TABLE as_applied (
	id TEXT PRIMARY KEY,
	prescription_id TEXT NOT NULL REFERENCES prescription (id),
	content TEXT NOT NULL CHECK (json_valid(content)) -- ground.schema.json#/definitions/AsApplied
) STRICT;
CREATE INDEX as_applied_by_prescription ON as_applied (prescription_id);
