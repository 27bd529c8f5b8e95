-- Samples of a good or bad spot stand beside leaf tests; a field's rates go by the others.
ALTER TABLE sample ADD COLUMN spot TEXT GENERATED ALWAYS AS (report ->> '$.spot') VIRTUAL;

-- Lines of a file of leaf tests.
ALTER TABLE lab_import_row ADD COLUMN leaf_id TEXT REFERENCES leaf_test (id);

-- A lab lays out its files of soil and of leaf tests in two ways.
CREATE TABLE lab_mapping_of_kind (
	id TEXT PRIMARY KEY,
	lab TEXT NOT NULL,
	mapping TEXT NOT NULL CHECK (json_valid(mapping)), -- schemas/lab-mapping.schema.json
	kind TEXT GENERATED ALWAYS AS (iif(mapping -> '$.leaf' IS NULL, 'soil', 'leaf')) VIRTUAL,
	UNIQUE (lab, kind)
) STRICT;
INSERT INTO lab_mapping_of_kind (id, lab, mapping) SELECT id, lab, mapping FROM lab_mapping;
DROP TABLE lab_mapping;
ALTER TABLE lab_mapping_of_kind RENAME TO lab_mapping;

-- Where water for irrigation comes from, and what labs found in it.
CREATE TABLE water_source (
	id TEXT PRIMARY KEY,
	name TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 120),
	kind TEXT NOT NULL -- schemas/water-request.schema.json#/definitions/WaterKind
) STRICT;

CREATE TABLE water_report (
	id TEXT PRIMARY KEY,
	source_id TEXT NOT NULL REFERENCES water_source (id),
	content TEXT NOT NULL CHECK (json_valid(content)), -- schemas/water-request.schema.json#/definitions/BookedReport
	taken_on TEXT GENERATED ALWAYS AS (content ->> '$.takenOn') VIRTUAL
) STRICT;
CREATE INDEX water_report_by_source ON water_report (source_id, taken_on);

-- From which source a field is irrigated, and how much: water-request.schema.json#/definitions/BookedIrrigation
ALTER TABLE field_year ADD COLUMN irrigation TEXT CHECK (irrigation IS NULL OR json_valid(irrigation));
