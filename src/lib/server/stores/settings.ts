import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import type { LoadSizes } from '../../../core/schema-types';
import type { UnitSystem } from '../../../core/units/rate-units';
import { act } from '../book/act';

export interface Settings {
	units: UnitSystem;
	preparedBy: string;
	loads: LoadSizes;
}

/** A common pull tank, a common spreader box, a six-ton mixer weighed to 50 lb: practice, until the adviser says otherwise. */
const USUAL_LOADS: LoadSizes = { tankGal: 1000, boxLb: 12_000, batchLb: 12_000, weighLb: 50 };

export function readSettings(db: Database): Settings {
	const rows = db.prepare<[], { id: string; value: string }>('SELECT id, value FROM setting').all();
	const values = new Map(rows.map(({ id, value }) => [id, value]));
	const loads = values.get('loads');
	return {
		units: values.get('units') === 'metric' ? 'metric' : 'us',
		preparedBy: values.get('preparedBy') ?? '',
		loads: loads === undefined ? USUAL_LOADS : fromJson<LoadSizes>(loads)
	};
}

export function setUnits(db: Database, units: UnitSystem): void {
	act(db, { label: 'Switched units' }, (writer) => writer.put('setting', { id: 'units', value: units }));
}

export function setPreparedBy(db: Database, name: string): void {
	act(db, { label: 'Changed who prepares the sheets' }, (writer) =>
		writer.put('setting', { id: 'preparedBy', value: name })
	);
}

export function setLoads(db: Database, loads: LoadSizes): void {
	act(db, { label: 'Changed the size of loads' }, (writer) =>
		writer.put('setting', { id: 'loads', value: JSON.stringify(loads) })
	);
}

/** A month of days: practice, until the adviser says otherwise. */
const USUAL_BACKUPS = 30;

/** So many daily copies of the book are kept. */
export function backupsKept(db: Database): number {
	const row = db.prepare<[], { value: string }>("SELECT value FROM setting WHERE id = 'backupsKept'").get();
	return row ? Number(row.value) : USUAL_BACKUPS;
}

export function setBackupsKept(db: Database, count: number): void {
	act(db, { label: 'Changed how many backups are kept' }, (writer) =>
		writer.put('setting', { id: 'backupsKept', value: String(count) })
	);
}
