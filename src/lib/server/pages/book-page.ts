import { listEvents } from '../stores/events';
import { afterHarvest } from '../field/season/after-harvest';
import { appliedPasses, catchCropOf, listFieldYears, listPasses } from '../stores/field-years';
import { BALANCED, nutrientBalance } from '../../../core/season/plan/balance/nutrient-balance';
import { inSystem, type UnitSystem } from '../../../core/units/rate-units';
import type { FieldRow } from '../stores/fields';
import { listWaterSources } from '../stores/water/water-sources';
import { applicationViews, stateOf } from './application-views';
import { catalogueFor } from '../../../core/supply/catalogue/offered-for';
import { measuredBy, passView } from './pass-view';
import { listPrescriptions } from '../stores/plan/prescriptions';
import { yearRecord } from '../field/year-record';
import type { Desk, FieldAddress } from '../desk';

const MOST_EVENTS = 200;

/** The page of the book: what happened on a field in a year. */
export function bookPage(desk: Desk, address: FieldAddress) {
	const { field, year, goal, advice } = desk.fieldYear(address);
	const sown = goal && catchCropOf(goal);
	const { crops, products } = desk.library;
	const { units } = field;
	const crop = crops.find(({ id }) => id === goal?.crop);
	const passes = goal ? listPasses(desk.book, goal.id) : [];
	return {
		fieldId: field.id,
		year,
		goal: goal && {
			crop: crop?.name ?? goal.crop,
			unit: crop?.yieldUnit ?? '',
			yieldGoal: goal.yield_goal,
			harvested: goal.harvested_yield
		},
		passes: passes.map((record) => ({
			...passView(record, products, units),
			...stateOf(record, field.area_ac ?? undefined, units)
		})),
		applications: applicationViews(passes, products, units),
		catalogue: catalogueFor(
			products,
			goal?.crop,
			passes.map(({ plan }) => plan)
		).map((product) => ({
			id: product.id,
			name: product.name,
			...measuredBy(product)
		})),
		units,
		today: desk.today,
		logs: (goal ? listPrescriptions(desk.book, goal.id) : []).flatMap(({ content, applied }) =>
			applied.map((log) => ({ id: log.id, label: content.name, ...log.content }))
		),
		catchCrop: sown && advice && { sown, after: afterHarvest(advice, 'normal', units, desk.library) },
		balance: balanceOf(desk, field, year, units),
		events: listEvents(desk.book, field.id, MOST_EVENTS)
	};
}

/** More years than this are not looked at. */
const MOST_YEARS = 40;

/** What went on and what the harvest took, of the years of the book up to the one that is shown, the newest first. */
function balanceOf({ book, library }: Desk, field: FieldRow, until: number, units: UnitSystem) {
	const { crops, packs, products } = library;
	const sources = listWaterSources(book);
	const records = listFieldYears(book, field.id)
		.filter(({ year }) => year <= until)
		.slice(0, MOST_YEARS)
		.flatMap(({ id, ...row }) => {
			const passes = appliedPasses(book, id);
			// A year that is only planned has nothing to balance yet.
			if (row.harvested_yield === null && passes.length === 0) return [];
			return yearRecord({ ...row, passes }, crops, sources);
		});
	return nutrientBalance(records, packs, products)
		.reverse()
		.map(({ year, crop, nutrients }) => ({
			year,
			crop,
			nutrients: Object.fromEntries(
				BALANCED.map((nutrient) => {
					const { ofYear, together } = nutrients[nutrient];
					return [nutrient, { ofYear: inSystem(ofYear, units), together: inSystem(together, units) }];
				})
			) as typeof nutrients
		}));
}
