import { validator } from '$core/check/validator';
import { proposeProgramme } from '$core/season/propose/propose-programme';
import type { ProgrammeAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { ActionError } from '$lib/server/book/action-error';
import { currentLibrary } from '$lib/server/current-library';
import { adviceOf } from '$lib/server/http/params';
import { placedProgramme } from '$lib/server/field/placed-programme';
import { changePasses, changeSeason } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asProgramme = validator<ProgrammeAction>('actions#/definitions/ProgrammeAction');

/** Proposes passes for the chosen rates in place of those not yet applied. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asProgramme, ({ placed }) => {
		const advice = adviceOf(params);
		const { goal, chosen, context, passes } = advice;
		const planned = passes
			.map(({ plan }) => plan)
			.filter((plan) => !context.applied.includes(plan))
			.map(({ id }) => id);
		if (placed !== undefined) {
			const { choice, passes: added, notes } = placedProgramme(advice, currentLibrary(), placed);
			changeSeason(theBook(), goal, 'Planned a banded, timed programme', [choice], planned, added);
			return { notes };
		}
		if (chosen.length === 0 && context.tilleringN === undefined) {
			throw new ActionError('Choose rates first; there is nothing to place yet.');
		}
		const programme = proposeProgramme(context);
		changePasses(theBook(), goal, 'Proposed a programme', planned, programme.passes);
		return { notes: programme.notes };
	});
