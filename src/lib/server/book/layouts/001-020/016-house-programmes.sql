-- How the adviser does a crop on a kind of ground. The row holds the one in use; every version is kept below it.
CREATE TABLE house_programme (
	id TEXT PRIMARY KEY,
	place INTEGER NOT NULL, -- the first in order that fits a field is taken
	version INTEGER NOT NULL CHECK (version >= 1),
	content TEXT NOT NULL CHECK (json_valid(content)) -- house-programme.schema.json#/definitions/HouseProgramme
) STRICT;

CREATE TABLE house_programme_version (
	id TEXT PRIMARY KEY, -- <programme>@<version>
	programme_id TEXT NOT NULL,
	version INTEGER NOT NULL,
	saved_on TEXT NOT NULL,
	content TEXT NOT NULL CHECK (json_valid(content)),
	UNIQUE (programme_id, version)
) STRICT;

-- The house programme that a year of a field was planned by: house-programme.schema.json#/definitions/Followed
ALTER TABLE field_year ADD COLUMN followed TEXT CHECK (followed IS NULL OR json_valid(followed));
