import type { Database } from 'better-sqlite3';
import type { Product } from '../../../core/schema-types';
import { fromJson } from '../from-json';
import { ActionError } from './action-error';

/** What names a product of the adviser's own, with the unit it goes by there; the ids stand in JSON, where the database does not watch them. */
const ON_PRODUCT = `
	SELECT 'plan' AS what, plan ->> '$.unit' AS unit FROM pass WHERE plan ->> '$.product' = @id
	UNION ALL SELECT 'plan', content ->> '$.plan.pass.unit' FROM decision WHERE content ->> '$.plan.pass.product' = @id
	UNION ALL SELECT 'plan', one.value ->> '$.unit' FROM kept_plan, json_each(content, '$.passes') one
		WHERE one.value ->> '$.product' = @id
	UNION ALL SELECT 'plan', one.value ->> '$.pass.unit' FROM kept_plan, json_each(content, '$.decisions') one
		WHERE one.value ->> '$.pass.product' = @id
	UNION ALL SELECT 'records', content ->> '$.applied.unit' FROM application WHERE content ->> '$.applied.product' = @id`;

/**
 * Looks whether plans and records still find a product that they name, measured as they measure it.
 * @param before its row, where it is gone
 * @throws ActionError where they do not
 */
export function assertProductStands(db: Database, id: string, before: { product?: unknown } | null): void {
	const stand = db.prepare<{ id: string }, { what: 'plan' | 'records'; unit: string }>(ON_PRODUCT).all({ id });
	if (stand.length === 0) return;
	const row = db.prepare<[string], { product: string }>('SELECT product FROM own_product WHERE id = ?').get(id);
	const { name, densityLbPerGal } = fromJson<Product>(String((row ?? before)?.product));
	if (!row) {
		throw new ActionError(
			stand.some(({ what }) => what === 'plan')
				? `${name} stands in a plan; remove those passes first.`
				: `${name} stands in the records of what was applied, which are kept.`
		);
	}
	if (densityLbPerGal === undefined && stand.some(({ unit }) => unit === 'gal/ac'))
		throw new ActionError(`${name} is planned or recorded in gal/ac, so it needs its density.`);
}
