import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import type { Product } from '../../../core/schema-types';
import { act } from '../book/act';

const ID = 'dealers';

/** Where each product is bought, by product; those without a dealer are left out. */
export function readDealers(db: Database): Record<string, string> {
	const row = db.prepare<[string], { value: string }>('SELECT value FROM setting WHERE id = ?').get(ID);
	return row ? fromJson<Record<string, string>>(row.value) : {};
}

/** @param dealer empty where nobody is named any more */
export function setDealer(db: Database, { id, name }: Product, dealer: string): void {
	const others = Object.entries(readDealers(db)).filter(([product]) => product !== id);
	const dealers = Object.fromEntries(dealer === '' ? others : [...others, [id, dealer]]);
	act(db, { label: dealer === '' ? `No dealer for ${name}` : `${name} comes from ${dealer}` }, (writer) =>
		writer.put('setting', { id: ID, value: JSON.stringify(dealers) })
	);
}
