-- The fields that an action on many of them changed: it stands in the log of each, and can be undone from there.
CREATE TABLE event_field (
	event_id INTEGER NOT NULL REFERENCES event (id),
	field_id TEXT NOT NULL,
	UNIQUE (field_id, event_id)
) STRICT;
