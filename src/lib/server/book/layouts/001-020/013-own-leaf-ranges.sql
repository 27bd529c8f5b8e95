-- Ranges of the adviser's own that leaf tests are read against.
CREATE TABLE own_leaf_ranges (
	id TEXT PRIMARY KEY,
	ranges TEXT NOT NULL CHECK (json_valid(ranges)) -- schemas/leaf-ranges.schema.json#/definitions/LeafRanges
) STRICT;
