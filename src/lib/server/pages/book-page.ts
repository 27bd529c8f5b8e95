import { listEvents } from '../stores/events';
import { listPasses } from '../stores/field-years';
import { passView } from './pass-view';
import { listPrescriptions } from '../stores/prescriptions';
import type { Desk, FieldAddress } from '../desk';

const MOST_EVENTS = 200;

/** The page of the book: what happened on a field in a year. */
export function bookPage(desk: Desk, address: FieldAddress) {
	const { field, year, goal } = desk.fieldYear(address);
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
		passes: passes.map((record) => passView(record, products, units)),
		logs: (goal ? listPrescriptions(desk.book, goal.id) : []).flatMap(({ content, applied }) =>
			applied.map((log) => ({ id: log.id, label: content.name, ...log.content }))
		),
		events: listEvents(desk.book, field.id, MOST_EVENTS)
	};
}
