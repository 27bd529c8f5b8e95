-- The planting of a perennial, and what holds of it in one year, as documents of schemas/block.schema.json.
ALTER TABLE field ADD COLUMN block TEXT;
ALTER TABLE field_year ADD COLUMN block_year TEXT;
