import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { DatedPrice } from '../../../core/supply/price-csv';
import { act } from '../book/act';

/** Prices in force on a day by item: `grain:<crop>`, `nutrient:<nutrient>`, `product:<product>`. */
export type PriceList = ReadonlyMap<string, number>;

/** The newest price of each item that is not younger than the day. */
export function pricesOn(db: Database, day: string): PriceList {
	const rows = db
		.prepare<[string], { item: string; amount: number }>(
			'SELECT item, amount, max(since) FROM price WHERE since <= ? GROUP BY item'
		)
		.all(day);
	return new Map(rows.map(({ item, amount }) => [item, amount]));
}

/** The price of an item before the one in force on a day, with the day it was entered; undefined where there is none. */
export function priceBefore(db: Database, item: string, day: string): { amount: number; since: string } | undefined {
	return db
		.prepare<[string, string], { amount: number; since: string }>(
			'SELECT amount, since FROM price WHERE item = ? AND since <= ? ORDER BY since DESC LIMIT 1 OFFSET 1'
		)
		.get(item, day);
}

/** Every price of the book, the newest of each item first. */
export function listPrices(db: Database): DatedPrice[] {
	return db.prepare<[], DatedPrice>('SELECT item, since, amount FROM price ORDER BY item, since DESC').all();
}

/** Enters prices from a day on; those of the same day are corrected. */
export function setPrices(db: Database, day: string, prices: ReadonlyMap<string, number>): void {
	enterPrices(
		db,
		[...prices].map(([item, amount]) => ({ item, since: day, amount }))
	);
}

/** Enters prices, each from its own day on, in one action. */
export function enterPrices(db: Database, prices: readonly DatedPrice[]): void {
	act(db, { label: 'Entered prices' }, (writer) => {
		for (const { item, since, amount } of prices) {
			const now = db
				.prepare<[string, string], { id: string }>('SELECT id FROM price WHERE item = ? AND since = ?')
				.get(item, since);
			if (now) writer.update('price', now.id, { amount });
			else writer.insert('price', { id: randomUUID(), item, since, amount });
		}
	});
}
