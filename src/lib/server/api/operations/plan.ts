import { InputError } from '../../../../core/check/problem';
import type {
	CreatedAnswer,
	DoneAction,
	IssueAction,
	IssuedAnswer,
	IssuedSheets,
	NotesAnswer,
	PassesAction,
	PrescriptionAction,
	ProgrammeAction,
	SheetsAction
} from '../../../../core/schema-types';
import { planLabel } from '../../../../core/season/plan/plan-label';
import { productFault } from '../../../../core/season/plan/pass/product-fault';
import { dateFault, seasonSpan } from '../../../../core/season/plan/season-span';
import { proposeYear } from '../../../../core/season/propose/propose-year';
import type { StressSetup } from '../../../../workers/stress-messages';
import { ActionError } from '../../book/action-error';
import { checkPast } from '../../field/applied/check-past';
import { plantingDateOf } from '../../field/field-request';
import { issueMany, issueNow } from '../../field/issue-sheet';
import { makePrescription } from '../../field/zones/make-prescription';
import { openPasses } from '../../field/season/open-passes';
import { placedProgramme } from '../../field/season/placed-programme';
import { stressSetup } from '../../field/season/stress-setup';
import { changePasses, changeSeason, markDone } from '../../stores/field-years';
import { listLayers, listZones } from '../../stores/ground-maps';
import { addPrescription } from '../../stores/plan/prescriptions';
import { adviceAt, goalAt } from '../at';
import { PASS_EXAMPLE } from '../examples';
import { EXAMPLE_IDS, json, operation } from '../operation';
import { passesNamed } from '../standing';

export const planOperations = [
	operation('POST /api/fields/{field}/{year}/passes', {
		summary: 'Replaces some passes of the plan by others, in one action',
		body: json<PassesAction>('actions#/definitions/PassesAction'),
		example: { removed: [EXAMPLE_IDS.pass], added: [PASS_EXAMPLE] },
		names: ({ removed }) => ({ pass: removed }),
		stands: (call, { removed }) => passesNamed(call.desk.book, goalAt(call).id, removed),
		run: (call, { removed, added, because }) => {
			const { book, library } = call.desk;
			const goal = goalAt(call);
			const plantingDate = plantingDateOf(goal, library);
			const problems = added.flatMap((pass, index) => {
				const fault = dateFault(pass, library.products, plantingDate);
				if (fault) return [{ path: `/added/${index}/date`, message: fault }];
				const wrong = productFault(pass, library.products);
				return wrong ? [{ path: `/added/${index}/${wrong.key}`, message: wrong.message }] : [];
			});
			if (problems.length > 0) throw new InputError(problems);
			const label = planLabel(passesNamed(book, goal.id, removed), added, because);
			changePasses(book, goal, label, removed, added);
		}
	}),
	operation('PUT /api/fields/{field}/{year}/done', {
		summary: 'Books a pass as applied on a day; null takes it back',
		body: json<DoneAction>('actions#/definitions/DoneAction'),
		example: { pass: EXAMPLE_IDS.pass, doneOn: '2026-11-20' },
		names: ({ pass }) => ({ pass: [pass] }),
		stands: (call, { pass }) => passesNamed(call.desk.book, goalAt(call).id, [pass])[0],
		run: (call, { pass, doneOn }) => {
			const { book, library } = call.desk;
			const goal = goalAt(call);
			const { from, to } = seasonSpan(plantingDateOf(goal, library));
			if (doneOn !== null) checkPast(doneOn, call.desk.today, '/doneOn');
			// What was applied lies in the season.
			if (doneOn !== null && (doneOn < from || doneOn > to)) {
				const message = `must lie in the season, ${from} to ${to}; got "${doneOn}"`;
				throw new InputError([{ path: '/doneOn', message }]);
			}
			markDone(book, goal, passesNamed(book, goal.id, [pass])[0]!, doneOn);
		}
	}),
	operation('POST /api/fields/{field}/{year}/programme', {
		summary: 'Proposes passes for the chosen rates, in place of those not yet applied',
		body: json<ProgrammeAction>('actions#/definitions/ProgrammeAction'),
		answer: json<NotesAnswer>('answers#/definitions/NotesAnswer'),
		example: {},
		run: (call, { placed }) => {
			const { book, library } = call.desk;
			const advice = adviceAt(call);
			const { goal, chosen, context } = advice;
			const { replaced, kept } = openPasses(advice, library.products);
			const planned = replaced.map(({ id }) => id);
			if (placed !== undefined) {
				const { choice, passes: added, notes } = placedProgramme(advice, library, placed, kept);
				changeSeason(book, goal, 'Planned a banded, timed programme', [choice], planned, added);
				return { notes };
			}
			if (chosen.length === 0 && context.tilleringN === undefined) {
				throw new ActionError('Choose rates first; there is nothing to place yet.');
			}
			const programme = proposeYear(context, kept);
			// Without a schedule nothing is proposed, and what was planned by hand stays.
			if (context.schedule) changePasses(book, goal, 'Proposed a programme', planned, programme.passes);
			return { notes: programme.notes };
		}
	}),
	operation('GET /api/fields/{field}/{year}/seasons', {
		summary: 'Gives what a worker needs to try this plan and its alternatives over simulated seasons',
		answer: json<StressSetup>('answers#/definitions/StressSetupAnswer'),
		run: (call) => stressSetup(call.desk, call.desk.fieldYear(call.params), adviceAt(call))
	}),
	operation('POST /api/fields/{field}/{year}/sheets', {
		summary: 'Issues the sheet of a year as it stands now, if that is what was looked at',
		body: json<IssueAction>('actions#/definitions/IssueAction'),
		answer: json<IssuedAnswer>('answers#/definitions/IssuedAnswer'),
		example: {},
		run: ({ params, desk }, { seen, reasons = [] }) => {
			const reasonOf = (stop: string) => reasons.find((one) => one.stop === stop)?.reason.trim();
			const { id, number, again } = issueNow(desk, desk.fieldYear(params), seen, reasonOf);
			return { id, number, again };
		}
	}),
	operation('POST /api/sheets', {
		summary: 'Issues the sheets of many fields; what could not be issued is told field by field',
		body: json<SheetsAction>('actions#/definitions/SheetsAction'),
		answer: json<IssuedSheets>('answers#/definitions/IssuedSheets'),
		example: { year: 2027, fields: [EXAMPLE_IDS.field] },
		names: ({ fields }) => ({ field: fields }),
		run: ({ desk }, { fields, year, reason }) => issueMany(desk, fields, String(year), reason)
	}),
	operation('POST /api/fields/{field}/{year}/prescriptions', {
		summary: 'Makes a prescription for a pass of the plan',
		body: json<PrescriptionAction>('actions#/definitions/PrescriptionAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: {
			pass: EXAMPLE_IDS.pass,
			drivenBy: 'N',
			limits: { least: 0, most: 300, step: 5 },
			outside: 0
		},
		names: ({ pass }) => ({ pass: [pass] }),
		run: ({ params, desk }, action) => {
			const fieldYear = desk.fieldYear(params);
			const { field, advice } = fieldYear;
			if (!advice) throw new ActionError(`${field.name} has no sample, crop and goal for this year yet.`);
			const { book, library, today, settings } = desk;
			const content = makePrescription(
				{
					fieldYear,
					advice,
					zones: listZones(book, field.id, { crop: advice.goal.crop, year: advice.goal.year }),
					layers: listLayers(book, field.id),
					library,
					today,
					preparedBy: settings.preparedBy
				},
				action
			);
			return { id: addPrescription(book, field.id, advice.goal.id, content) };
		}
	})
] as const;
