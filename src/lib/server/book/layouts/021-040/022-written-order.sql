-- Rows of one day stand in the order in which they were written, whatever is removed and put back: a row keeps its number, and none is
-- given twice. SQLite's own number of a row is given again where the last row is removed, and changes where a book is copied.
CREATE TABLE written (
	id INTEGER PRIMARY KEY CHECK (id = 1),
	last INTEGER NOT NULL
) STRICT;

ALTER TABLE sample ADD COLUMN seq INTEGER;
UPDATE sample SET seq = rowid;
CREATE TRIGGER sample_written AFTER INSERT ON sample WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE sample SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE pass ADD COLUMN seq INTEGER;
UPDATE pass SET seq = rowid;
CREATE TRIGGER pass_written AFTER INSERT ON pass WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE pass SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

DROP TRIGGER application_is_frozen;
ALTER TABLE application ADD COLUMN seq INTEGER;
UPDATE application SET seq = rowid;
-- From its number on.
CREATE TRIGGER application_is_frozen BEFORE UPDATE ON application WHEN OLD.seq IS NOT NULL BEGIN SELECT raise(ABORT, 'an entry is frozen'); END;
CREATE TRIGGER application_written AFTER INSERT ON application WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE application SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE decision ADD COLUMN seq INTEGER;
UPDATE decision SET seq = rowid;
CREATE TRIGGER decision_written AFTER INSERT ON decision WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE decision SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE kept_plan ADD COLUMN seq INTEGER;
UPDATE kept_plan SET seq = rowid;
CREATE TRIGGER kept_plan_written AFTER INSERT ON kept_plan WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE kept_plan SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

DROP TRIGGER prescription_is_frozen;
ALTER TABLE prescription ADD COLUMN seq INTEGER;
UPDATE prescription SET seq = rowid;
-- From its number on.
CREATE TRIGGER prescription_is_frozen BEFORE UPDATE ON prescription WHEN OLD.seq IS NOT NULL BEGIN SELECT raise(ABORT, 'a prescription is frozen'); END;
CREATE TRIGGER prescription_written AFTER INSERT ON prescription WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE prescription SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE as_applied ADD COLUMN seq INTEGER;
UPDATE as_applied SET seq = rowid;
CREATE TRIGGER as_applied_written AFTER INSERT ON as_applied WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE as_applied SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE water_report ADD COLUMN seq INTEGER;
UPDATE water_report SET seq = rowid;
CREATE TRIGGER water_report_written AFTER INSERT ON water_report WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE water_report SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE house_programme ADD COLUMN seq INTEGER;
UPDATE house_programme SET seq = rowid;
CREATE TRIGGER house_programme_written AFTER INSERT ON house_programme WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE house_programme SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE guide_version ADD COLUMN seq INTEGER;
UPDATE guide_version SET seq = rowid;
CREATE TRIGGER guide_version_written AFTER INSERT ON guide_version WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE guide_version SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE crop_test ADD COLUMN seq INTEGER;
UPDATE crop_test SET seq = rowid;
CREATE TRIGGER crop_test_written AFTER INSERT ON crop_test WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE crop_test SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE spread_check ADD COLUMN seq INTEGER;
UPDATE spread_check SET seq = rowid;
CREATE TRIGGER spread_check_written AFTER INSERT ON spread_check WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE spread_check SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE leaf_test ADD COLUMN seq INTEGER;
UPDATE leaf_test SET seq = rowid;
CREATE TRIGGER leaf_test_written AFTER INSERT ON leaf_test WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE leaf_test SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

ALTER TABLE own_leaf_ranges ADD COLUMN seq INTEGER;
UPDATE own_leaf_ranges SET seq = rowid;
CREATE TRIGGER own_leaf_ranges_written AFTER INSERT ON own_leaf_ranges WHEN NEW.seq IS NULL BEGIN
	INSERT INTO written VALUES (1, 1) ON CONFLICT (id) DO UPDATE SET last = last + 1;
	UPDATE own_leaf_ranges SET seq = (SELECT last FROM written) WHERE rowid = NEW.rowid;
END;

-- Places of removed rows, which stand in the log, are taken too.
INSERT INTO written
SELECT 1, max(seq) FROM (
	SELECT seq FROM sample
	UNION ALL SELECT seq FROM pass
	UNION ALL SELECT seq FROM application
	UNION ALL SELECT seq FROM decision
	UNION ALL SELECT seq FROM kept_plan
	UNION ALL SELECT seq FROM prescription
	UNION ALL SELECT seq FROM as_applied
	UNION ALL SELECT seq FROM water_report
	UNION ALL SELECT seq FROM house_programme
	UNION ALL SELECT seq FROM guide_version
	UNION ALL SELECT seq FROM crop_test
	UNION ALL SELECT seq FROM spread_check
	UNION ALL SELECT seq FROM leaf_test
	UNION ALL SELECT seq FROM own_leaf_ranges
	UNION ALL SELECT c.value ->> '$.place' FROM event, json_each(event.changes) c
) HAVING max(seq) IS NOT NULL;
