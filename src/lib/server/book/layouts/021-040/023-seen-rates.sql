-- The rate that a method gave when it was chosen, lb/ac, lime short tons/ac: it stands until the adviser takes another. None is known of
-- older choices; they follow their method until they are made again.
ALTER TABLE choice ADD COLUMN seen REAL CHECK (seen >= 0);
