import type { Database } from 'better-sqlite3';
import type { Product } from '../../../core/schema-types';
import { whatHappened } from '../../../core/season/applied/what-happened';
import { poundsPerAcre } from '../../../core/season/plan/pass/pass-nutrients';
import type { OpenPass } from '../../../core/supply/order';
import type { UnitSystem } from '../../../core/units/rate-units';
import { UNITS_OF_GROWER } from './fields';
import { RECORDED_PASS, recordedPass, type RecordedPassRow } from './plan/applications';

interface Row extends RecordedPassRow {
	field_id: string;
	field: string;
	grower: string;
	units: UnitSystem;
	area_ac: number | null;
	/** Rate x acres summed over its newest prescription, in the unit of the pass. */
	prescribed: number | null;
}

/** Every pass of a year that is not applied yet, over the whole book; of one that is under way, its rest. */
export function listOpenPasses(db: Database, year: number, products: readonly Product[]): OpenPass[] {
	const cards = new Map(products.map((product) => [product.id, product]));
	return db
		.prepare<[number], Row>(
			`SELECT f.id AS field_id, f.name AS field, g.name AS grower, ${UNITS_OF_GROWER} AS units, f.area_ac, ${RECORDED_PASS},
				(SELECT sum(part.value ->> '$.rate' * (part.value ->> '$.areaAcres'))
					FROM json_each((SELECT r.content ->> '$.parts' FROM prescription r
						WHERE r.field_year_id = y.id AND r.content ->> '$.pass' = p.id
							AND r.content ->> '$.unit' = p.unit AND r.content ->> '$.product.id' = p.product
							AND r.content ->> '$.flat' = p.rate
						ORDER BY r.seq DESC LIMIT 1)) part) AS prescribed
			FROM pass p JOIN field_year y ON y.id = p.field_year_id JOIN field f ON f.id = y.field_id JOIN grower g ON g.id = f.grower_id
			WHERE p.done_on IS NULL AND y.year = ?
			ORDER BY g.name COLLATE NOCASE, f.name COLLATE NOCASE`
		)
		.all(year)
		.flatMap(({ field_id, field, grower, units, area_ac, prescribed, ...row }) =>
			whatHappened([recordedPass(row)]).flatMap(({ plan: pass, doneOn }): OpenPass[] =>
				doneOn === null
					? [
							{
								fieldId: field_id,
								field,
								grower,
								units,
								acres: area_ac ?? undefined,
								pass,
								...(prescribed === null
									? {}
									: { prescribedLb: poundsPerAcre({ ...pass, rate: prescribed }, cards.get(pass.product)!) })
							}
						]
					: []
			)
		);
}

/** The products of the passes of a year that are not applied yet. */
export function listOpenProducts(db: Database, year: number): ReadonlySet<string> {
	const rows = db
		.prepare<[number], { product: string }>(
			`SELECT DISTINCT p.product FROM pass p JOIN field_year y ON y.id = p.field_year_id
			WHERE p.done_on IS NULL AND y.year = ?`
		)
		.all(year);
	return new Set(rows.map(({ product }) => product));
}
