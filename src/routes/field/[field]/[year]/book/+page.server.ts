import { currentLibrary } from '$lib/server/current-library';
import { fieldYearOf } from '$lib/server/params';
import { listEvents } from '$lib/server/stores/events';
import { listPasses } from '$lib/server/stores/field-years';
import { passView } from '$lib/server/pass-view';
import { readSettings } from '$lib/server/stores/settings';
import { listPrescriptions } from '$lib/server/stores/prescriptions';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

const MOST_EVENTS = 200;

export const load: PageServerLoad = ({ params }) => {
	const { field, year, goal } = fieldYearOf(params);
	const { crops, products } = currentLibrary();
	const { units } = readSettings(theBook());
	const crop = crops.find(({ id }) => id === goal?.crop);
	const passes = goal ? listPasses(theBook(), goal.id) : [];
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
		logs: (goal ? listPrescriptions(theBook(), goal.id) : []).flatMap(({ content, applied }) =>
			applied.map((log) => ({ id: log.id, label: content.name, ...log.content }))
		),
		events: listEvents(theBook(), field.id, MOST_EVENTS)
	};
};
