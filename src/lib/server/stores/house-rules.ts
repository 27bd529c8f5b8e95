import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import type { HouseRules, Setback } from '../../../core/schema-types';
import { act } from '../book/act';

const ID = 'houseRules';

/** What the adviser keeps to beside the guides; nothing where nothing was set. */
export function readHouseRules(db: Database): HouseRules {
	const row = db.prepare<[string], { value: string }>('SELECT value FROM setting WHERE id = ?').get(ID);
	return row ? fromJson<HouseRules>(row.value) : { noGo: [] };
}

export function setHouseRules(db: Database, rules: HouseRules): void {
	act(db, { label: 'Changed my rules' }, (writer) => writer.put('setting', { id: ID, value: JSON.stringify(rules) }));
}

export function setSetbacks(db: Database, fieldId: string, setbacks: readonly Setback[]): void {
	act(db, { label: 'Changed the setbacks', fieldId }, (writer) =>
		writer.update('field', fieldId, { setbacks: JSON.stringify(setbacks) })
	);
}
