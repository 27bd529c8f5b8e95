-- What is known of a zone for one crop (goal, strips, canopy, own rates) belongs to that crop's year. What stood there without
-- a year is kept for the newest year of its field, where it was last in use.
UPDATE zone SET facts = json_patch(
	CASE WHEN json_extract(facts, '$.values') IS NULL THEN '{}'
		ELSE json_object('values', json(json_extract(facts, '$.values'))) END,
	json_object('seasons', json_array(json_patch(
		json_object(
			'crop', (SELECT y.crop FROM field_year y WHERE y.field_id = zone.field_id ORDER BY y.year DESC LIMIT 1),
			'year', (SELECT max(y.year) FROM field_year y WHERE y.field_id = zone.field_id)
		),
		json_remove(facts, '$.values')
	)))
)
WHERE json_remove(facts, '$.values') != '{}'
	AND json_extract(facts, '$.seasons') IS NULL
	AND EXISTS (SELECT 1 FROM field_year y WHERE y.field_id = zone.field_id);
