-- What was applied of a pass, load by load. Entries are added, never changed: a correction names the one it stands for.
CREATE TABLE application (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	pass_id TEXT NOT NULL REFERENCES pass (id),
	content TEXT NOT NULL CHECK (json_valid(content)) -- application.schema.json
) STRICT;
CREATE INDEX application_by_pass ON application (pass_id);
CREATE INDEX application_by_field_year ON application (field_year_id);
CREATE TRIGGER application_is_frozen BEFORE UPDATE ON application BEGIN SELECT raise(ABORT, 'an entry is frozen'); END;
