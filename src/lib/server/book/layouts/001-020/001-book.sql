-- The book: growers, their ground, what was measured, what was decided, what was issued, and every change.
-- Every table that a person can change has a text key `id`, so that one event log can undo them all.

CREATE TABLE grower (
	id TEXT PRIMARY KEY,
	name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 120)
) STRICT;

CREATE TABLE field (
	id TEXT PRIMARY KEY,
	grower_id TEXT NOT NULL REFERENCES grower (id),
	name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
	area_ac REAL CHECK (area_ac > 0),
	boundary TEXT CHECK (boundary IS NULL OR json_valid(boundary)), -- GeoJSON geometry, WGS 84
	texture TEXT,
	drainage TEXT,
	slope_percent REAL CHECK (slope_percent BETWEEN 0 AND 100),
	irrigated INTEGER NOT NULL DEFAULT 0 CHECK (irrigated IN (0, 1)),
	note TEXT NOT NULL DEFAULT '',
	UNIQUE (grower_id, name)
) STRICT;

-- A sample as the lab reported it: the layers with values, units, methods and "<" signs, never converted.
CREATE TABLE sample (
	id TEXT PRIMARY KEY,
	field_id TEXT NOT NULL REFERENCES field (id),
	lab TEXT NOT NULL DEFAULT '',
	lab_number TEXT NOT NULL DEFAULT '',
	report TEXT NOT NULL CHECK (json_valid(report)), -- schemas/sample.schema.json
	taken_on TEXT GENERATED ALWAYS AS (report ->> '$.date') VIRTUAL
) STRICT;
CREATE INDEX sample_by_field ON sample (field_id, taken_on);

CREATE TABLE field_year (
	id TEXT PRIMARY KEY,
	field_id TEXT NOT NULL REFERENCES field (id),
	year INTEGER NOT NULL CHECK (year BETWEEN 1900 AND 2200),
	crop TEXT NOT NULL,
	yield_goal REAL NOT NULL CHECK (yield_goal > 0),
	previous_crop TEXT,
	planting_date TEXT,
	row_spacing_in REAL CHECK (row_spacing_in > 0),
	target_ph REAL CHECK (target_ph BETWEEN 4 AND 8),
	harvested_yield REAL CHECK (harvested_yield >= 0),
	UNIQUE (field_id, year)
) STRICT;

-- What was chosen for one nutrient: a school's method, or the adviser's own rate with the reason.
CREATE TABLE choice (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	nutrient TEXT NOT NULL,
	method TEXT,
	own_rate REAL CHECK (own_rate >= 0), -- lb/ac; lime: short tons/ac
	reason TEXT,
	UNIQUE (field_year_id, nutrient),
	CHECK ((method IS NULL) <> (own_rate IS NULL)),
	CHECK (own_rate IS NULL OR length(trim(reason)) > 0)
) STRICT;

CREATE TABLE pass (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	done_on TEXT, -- the day it was applied; null while it is a plan
	plan TEXT NOT NULL CHECK (json_valid(plan)) -- schemas/plan.schema.json#/definitions/Pass
) STRICT;
CREATE INDEX pass_by_field_year ON pass (field_year_id);

CREATE TABLE price (
	id TEXT PRIMARY KEY,
	item TEXT NOT NULL, -- grain:<crop>, nutrient:<nutrient>, product:<product>
	since TEXT NOT NULL,
	amount REAL NOT NULL CHECK (amount >= 0), -- $ per crop unit, per lb of nutrient, per short ton of product
	UNIQUE (item, since)
) STRICT;

-- How a lab lays out its files, remembered for the next one.
CREATE TABLE lab_mapping (
	id TEXT PRIMARY KEY,
	lab TEXT NOT NULL UNIQUE,
	mapping TEXT NOT NULL CHECK (json_valid(mapping)) -- schemas/lab-mapping.schema.json
) STRICT;

-- A lab file from upload to commit; the draft survives reloads and restarts.
CREATE TABLE lab_import (
	id TEXT PRIMARY KEY,
	file_name TEXT NOT NULL,
	uploaded_at TEXT NOT NULL,
	grid TEXT NOT NULL CHECK (json_valid(grid)), -- the cells as text
	lab TEXT NOT NULL DEFAULT '',
	draft TEXT NOT NULL CHECK (json_valid(draft)),
	committed_at TEXT
) STRICT;

CREATE TABLE lab_import_row (
	id TEXT PRIMARY KEY,
	import_id TEXT NOT NULL REFERENCES lab_import (id),
	line INTEGER NOT NULL,
	outcome TEXT NOT NULL CHECK (outcome IN ('imported', 'left out')),
	reason TEXT NOT NULL,
	sample_id TEXT REFERENCES sample (id),
	UNIQUE (import_id, line)
) STRICT;

-- An issued sheet is frozen: what it was computed from and what it said.
CREATE TABLE sheet (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	number INTEGER NOT NULL UNIQUE,
	issued_at TEXT NOT NULL,
	content TEXT NOT NULL CHECK (json_valid(content)) -- schemas/sheet.schema.json
) STRICT;
CREATE TRIGGER sheet_is_frozen BEFORE UPDATE ON sheet BEGIN SELECT raise(ABORT, 'an issued sheet is frozen'); END;
CREATE TRIGGER sheet_is_kept BEFORE DELETE ON sheet BEGIN SELECT raise(ABORT, 'an issued sheet is kept'); END;

CREATE TABLE setting (id TEXT PRIMARY KEY, value TEXT NOT NULL) STRICT;

-- Every change, with what was there before and after.
CREATE TABLE event (
	id INTEGER PRIMARY KEY AUTOINCREMENT,
	at TEXT NOT NULL,
	label TEXT NOT NULL,
	field_id TEXT,
	changes TEXT NOT NULL CHECK (json_valid(changes)),
	undoes INTEGER UNIQUE REFERENCES event (id)
) STRICT;
CREATE INDEX event_by_field ON event (field_id, id);
CREATE TRIGGER event_is_never_changed BEFORE UPDATE ON event BEGIN SELECT raise(ABORT, 'events are append-only'); END;
CREATE TRIGGER event_is_never_removed BEFORE DELETE ON event BEGIN SELECT raise(ABORT, 'events are append-only'); END;
