-- The units a grower reads; null: those of the book.
ALTER TABLE grower ADD COLUMN units TEXT CHECK (units IN ('us', 'metric'));
