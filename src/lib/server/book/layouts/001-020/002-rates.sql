-- What the rates of lime, P, K and S rest on beside the goal, whose ground it is, and the adviser's own guides.

ALTER TABLE field ADD COLUMN tenure TEXT CHECK (tenure IN ('owned', 'rented long', 'rented by the year'));

ALTER TABLE field_year ADD COLUMN residue_removed_percent REAL CHECK (residue_removed_percent BETWEEN 0 AND 100);
ALTER TABLE field_year ADD COLUMN starter_p2o5 REAL CHECK (starter_p2o5 > 0); -- lb/ac, inside the total
ALTER TABLE field_year ADD COLUMN target_ph_scale TEXT CHECK (target_ph_scale IN ('water', 'cacl2'));
ALTER TABLE field_year ADD COLUMN liming_product TEXT;
ALTER TABLE field_year ADD COLUMN lime_depth_in REAL CHECK (lime_depth_in > 0);
ALTER TABLE field_year ADD COLUMN lime_placement TEXT CHECK (lime_placement IN ('incorporated', 'surface'));
ALTER TABLE field_year ADD COLUMN next_crop TEXT;
ALTER TABLE field_year ADD COLUMN next_yield_goal REAL CHECK (next_yield_goal > 0);

-- 1 where the rate of a method is for this crop and the next one in one pass.
ALTER TABLE choice ADD COLUMN both_years INTEGER NOT NULL DEFAULT 0 CHECK (both_years IN (0, 1));

-- A guide of the adviser's own. The row holds the one in use; every version that was ever saved is kept below it.
CREATE TABLE guide (
	id TEXT PRIMARY KEY,
	document TEXT NOT NULL CHECK (json_valid(document)), -- schemas/pack.schema.json
	saved_at TEXT NOT NULL
) STRICT;

CREATE TABLE guide_version (
	id TEXT PRIMARY KEY, -- <guide>@<version>
	guide_id TEXT NOT NULL,
	version TEXT NOT NULL,
	saved_at TEXT NOT NULL,
	document TEXT NOT NULL CHECK (json_valid(document)),
	UNIQUE (guide_id, version)
) STRICT;
