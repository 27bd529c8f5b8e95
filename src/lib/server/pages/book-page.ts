import { yieldUnitOf } from '../../../core/units/rate-units';
import { listEvents } from '../stores/events';
import { advisedThenOf } from '../field/looking-back/advised-then';
import { balanceOf, inUnits, movesOf } from '../field/looking-back/field-balance';
import { afterHarvest } from '../field/season/after-harvest';
import { namedSecond } from '../field/season/second-crop-view';
import { listPasses } from '../stores/field-years';
import { catchCropOf } from '../stores/plan/after-the-harvest';
import { applicationViews, stateOf } from './application-views';
import { catalogueFor } from '../../../core/supply/catalogue/offered-for';
import { measuredBy, passView } from './pass-view';
import { listPrescriptions } from '../stores/plan/prescriptions';
import type { Desk, FieldAddress } from '../desk';

const MOST_EVENTS = 200;

/** The page of the book: what happened on a field in a year. */
export function bookPage(desk: Desk, address: FieldAddress) {
	const { field, year, goal, advice } = desk.fieldYear(address);
	const sown = goal && catchCropOf(goal);
	const { crops, products } = desk.library;
	const { units } = field;
	const crop = crops.find(({ id }) => id === goal?.crop);
	const balance = balanceOf(desk, field, year);
	const ofYear = balance.find((one) => one.year === year);
	const after = sown && advice && afterHarvest(advice, 'normal', units, desk.library);
	const passes = goal ? listPasses(desk.book, goal.id) : [];
	return {
		fieldId: field.id,
		year,
		goal: goal && {
			crop: crop?.name ?? goal.crop,
			unit: crop ? yieldUnitOf(crop) : '',
			yieldGoal: goal.yield_goal,
			harvested: goal.harvested_yield
		},
		second: goal && namedSecond(goal, crops),
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
		catchCrop: sown && after && { sown, after },
		balance: balance.map((one) => inUnits(one, units)).reverse(),
		moves: movesOf(desk, field, balance, units),
		advised: goal && ofYear && advisedThenOf(desk, field, goal, ofYear),
		events: listEvents(desk.book, field.id, MOST_EVENTS)
	};
}

export type BookPage = ReturnType<typeof bookPage>;
