import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import { keysOf } from '../../../core/check/typed-object';
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

/** What of the settings changes; what is left out stays. */
export type SettingsChange = Partial<Settings> & { backupsKept?: number };

/** What is said of each, on the undo button. */
const SAID: Record<keyof SettingsChange, string> = {
	units: 'Switched units',
	preparedBy: 'Changed who prepares the sheets',
	loads: 'Changed the size of loads',
	backupsKept: 'Changed how many backups are kept'
};

/** Changes settings in one action, however many. */
export function changeSettings(db: Database, change: SettingsChange): void {
	const changed = keysOf(SAID).filter((key) => change[key] !== undefined);
	const [first = '', ...others] = changed.map((key) => SAID[key]);
	const label = [first, ...others.map((one) => one.charAt(0).toLowerCase() + one.slice(1))].join(', ');
	act(db, { label }, (writer) => {
		for (const key of changed) {
			const value = change[key];
			writer.put('setting', { id: key, value: typeof value === 'object' ? JSON.stringify(value) : String(value) });
		}
	});
}

/** A month of days: practice, until the adviser says otherwise. */
const USUAL_BACKUPS = 30;

/** So many daily copies of the book are kept. */
export function backupsKept(db: Database): number {
	const row = db.prepare<[], { value: string }>("SELECT value FROM setting WHERE id = 'backupsKept'").get();
	return row ? Number(row.value) : USUAL_BACKUPS;
}
