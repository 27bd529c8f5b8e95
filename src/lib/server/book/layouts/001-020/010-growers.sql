-- What holds for all fields of a grower; null: as the book. Units, and the station whose weather is theirs.
ALTER TABLE grower ADD COLUMN units TEXT CHECK (units IN ('us', 'metric'));
ALTER TABLE grower ADD COLUMN station TEXT;
