import { seasonSpan } from '../../../../core/season/plan/season-span';
import type { ApplicationAction } from '../../../../core/schema-types';
import { newApplication } from '../../field/applied/new-application';
import { plantingDateOf } from '../../field/field-request';
import { listPasses } from '../../stores/field-years';
import { addApplication } from '../../stores/plan/applications';
import { fieldAt, goalAt } from '../at';
import { EXAMPLE_IDS, json, operation } from '../operation';

export const applicationOperations = [
	operation('POST /api/fields/{field}/{year}/applications', {
		summary: 'Records what was applied of a pass, load by load, or corrects an entry by a new one',
		body: json<ApplicationAction>('application#/definitions/ApplicationAction'),
		example: {
			pass: EXAMPLE_IDS.pass,
			applied: {
				appliedOn: '2026-11-20',
				product: 'urea',
				rate: 180,
				unit: 'lb/ac',
				acres: 20,
				who: 'Own spreader',
				problems: 'Stopped by rain.'
			}
		},
		names: ({ pass }) => ({ pass: [pass] }),
		run: (call, action) => {
			const { book, library } = call.desk;
			const goal = goalAt(call);
			const pass = listPasses(book, goal.id).find(({ plan }) => plan.id === action.pass)!;
			const content = newApplication(action, pass, {
				field: fieldAt(call),
				library,
				season: seasonSpan(plantingDateOf(goal, library)),
				today: call.desk.today,
				now: new Date().toISOString()
			});
			addApplication(book, goal, pass, content);
		}
	})
] as const;
