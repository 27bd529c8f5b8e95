import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import type { Product } from '../../../core/schema-types';
import { act } from '../book/act';

/** Products of the adviser's own, by name. */
export function listOwnProducts(db: Database): Product[] {
	return db
		.prepare<[], { product: string }>("SELECT product FROM own_product ORDER BY product ->> '$.name'")
		.all()
		.map(({ product }) => fromJson<Product>(product));
}

/**
 * Keeps products; one that is there is replaced.
 * @throws ActionError where it could no longer be measured as a plan or a record measures it
 */
export function keepOwnProducts(db: Database, products: readonly Product[], label: string): void {
	act(db, { label }, (writer) => {
		for (const product of products) {
			writer.put('own_product', { id: product.id, product: JSON.stringify(product) });
		}
	});
}

/** @throws ActionError where a plan or a record stands on it */
export function removeOwnProduct(db: Database, { id, name }: Product): void {
	act(db, { label: `Took ${name} out of the catalogue` }, (writer) => writer.remove('own_product', id));
}
