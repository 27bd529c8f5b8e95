-- What is asked of passes over the whole book, as columns of the plan that is kept.
ALTER TABLE pass ADD COLUMN date TEXT GENERATED ALWAYS AS (plan ->> '$.date') VIRTUAL;
ALTER TABLE pass ADD COLUMN label TEXT GENERATED ALWAYS AS (plan ->> '$.label') VIRTUAL;
ALTER TABLE pass ADD COLUMN product TEXT GENERATED ALWAYS AS (plan ->> '$.product') VIRTUAL;
ALTER TABLE pass ADD COLUMN rate REAL GENERATED ALWAYS AS (plan ->> '$.rate') VIRTUAL;
ALTER TABLE pass ADD COLUMN unit TEXT GENERATED ALWAYS AS (plan ->> '$.unit') VIRTUAL;

DROP INDEX pass_by_field_year;
CREATE INDEX pass_by_field_year ON pass (field_year_id, date);
-- What is open, in order of its day; and whether a product stands in a plan.
CREATE INDEX pass_open ON pass (date) WHERE done_on IS NULL;
CREATE INDEX pass_by_product ON pass (product);
