-- What a season's plan decides later by what is seen, and plans that were kept beside it.
CREATE TABLE decision (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	content TEXT NOT NULL CHECK (json_valid(content)) -- plan.schema.json#/definitions/Decision
) STRICT;
CREATE INDEX decision_by_field_year ON decision (field_year_id);

CREATE TABLE kept_plan (
	id TEXT PRIMARY KEY,
	field_year_id TEXT NOT NULL REFERENCES field_year (id),
	content TEXT NOT NULL CHECK (json_valid(content)) -- plan.schema.json#/definitions/KeptPlan
) STRICT;
CREATE INDEX kept_plan_by_field_year ON kept_plan (field_year_id);
