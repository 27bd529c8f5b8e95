import type { Database } from 'better-sqlite3';
import type { UnitSystem } from '../../../core/units/rate-units';
import { act } from '../book/act';

export interface Settings {
	units: UnitSystem;
	preparedBy: string;
}

export function readSettings(db: Database): Settings {
	const rows = db.prepare<[], { id: string; value: string }>('SELECT id, value FROM setting').all();
	const values = new Map(rows.map(({ id, value }) => [id, value]));
	return { units: values.get('units') === 'metric' ? 'metric' : 'us', preparedBy: values.get('preparedBy') ?? '' };
}

export function setUnits(db: Database, units: UnitSystem): void {
	act(db, { label: 'Switched units' }, (writer) => writer.put('setting', { id: 'units', value: units }));
}

export function setPreparedBy(db: Database, name: string): void {
	act(db, { label: 'Changed who prepares the sheets' }, (writer) =>
		writer.put('setting', { id: 'preparedBy', value: name })
	);
}
