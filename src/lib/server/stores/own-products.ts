import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import type { Product } from '../../../core/schema-types';
import { act } from '../book/act';
import { ActionError } from '../book/action-error';

/** Products of the adviser's own, by name. */
export function listOwnProducts(db: Database): Product[] {
	return db
		.prepare<[], { product: string }>("SELECT product FROM own_product ORDER BY product ->> '$.name'")
		.all()
		.map(({ product }) => fromJson<Product>(product));
}

/** Keeps products; one that is there is replaced. */
export function keepOwnProducts(db: Database, products: readonly Product[], label: string): void {
	act(db, { label }, (writer) => {
		for (const product of products) {
			writer.put('own_product', { id: product.id, product: JSON.stringify(product) });
		}
	});
}

/** @throws ActionError where a pass stands on it */
export function removeOwnProduct(db: Database, { id, name }: Product): void {
	const used = db.prepare<[string]>('SELECT 1 FROM pass WHERE product = ? LIMIT 1').get(id);
	if (used) throw new ActionError(`${name} stands in a plan; remove those passes first.`);
	const applied = db
		.prepare<[string]>("SELECT 1 FROM application WHERE content ->> '$.applied.product' = ? LIMIT 1")
		.get(id);
	if (applied) throw new ActionError(`${name} stands in the records of what was applied, which are kept.`);
	act(db, { label: `Took ${name} out of the catalogue` }, (writer) => writer.remove('own_product', id));
}
