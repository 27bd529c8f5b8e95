import { poundsWhereItGoes } from '../../../core/season/plan/pass/pass-nutrients';
import { productOf } from '../../../core/season/plan/plan-context';
import { goesWithTheWater } from '../../../core/season/plan/placement-facts';
import type { Desk, FieldAddress } from '../desk';
import { irrigationOf, listWaterSources } from '../stores/water/water-sources';

/** The page of stock tanks: the passes that go with the water, by day, and the water they go into. */
export function tanksPage(desk: Desk, address: FieldAddress) {
	const { field, year, goal, advice } = desk.fieldYear(address);
	const { products } = desk.library;
	const passes = (advice?.passes ?? []).flatMap(({ plan, doneOn }) => {
		if (doneOn !== null || !goesWithTheWater(plan)) return [];
		const { id, date, label, product, placement } = plan;
		return [{ id, date, label, product, placement, lbPerAcre: poundsWhereItGoes(plan, productOf(plan, products)) }];
	});
	const irrigation = goal && irrigationOf(goal, listWaterSources(desk.book));
	return {
		fieldId: field.id,
		fieldName: field.name,
		year,
		units: field.units,
		areaAcres: field.area_ac ?? undefined,
		passes,
		water: irrigation && { source: irrigation.source, report: irrigation.water },
		tankGal: desk.settings.loads.tankGal,
		products: products.filter((product) => product.placements.some((placement) => goesWithTheWater({ placement }))),
		/** Those of passes too, which may hold a product that is not offered for water. */
		catalogue: products
	};
}
