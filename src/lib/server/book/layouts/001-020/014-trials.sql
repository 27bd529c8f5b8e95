-- Trials that were laid out on a field: the plan, the plots as they were drawn, and what was measured on them.
CREATE TABLE trial (
	id TEXT PRIMARY KEY,
	field_id TEXT NOT NULL REFERENCES field (id),
	year INTEGER NOT NULL,
	plan TEXT NOT NULL CHECK (json_valid(plan)), -- schemas/trial.schema.json#/definitions/TrialPlan
	plots TEXT NOT NULL CHECK (json_valid(plots)), -- TrialPlot
	records TEXT NOT NULL CHECK (json_valid(records)) -- PlotRecord
) STRICT;
CREATE INDEX trial_by_field ON trial (field_id);
