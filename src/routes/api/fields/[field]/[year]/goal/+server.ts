import { error } from '@sveltejs/kit';
import { InputError } from '$core/check/problem';
import { plantingFault } from '$core/season/plan/season-span';
import { checkGoal } from '$core/rates/check-goal';
import { currentLibrary } from '$lib/server/current-library';
import { validator } from '$core/check/validator';
import type { GoalAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { yearOf } from '$lib/server/http/params';
import { findField } from '$lib/server/stores/fields';
import { setGoal } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asGoal = validator<GoalAction>('actions#/definitions/GoalAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asGoal, (goal) => {
		if (!findField(theBook(), params.field)) error(404, 'There is no such field in this book.');
		const year = yearOf(params.year);
		const crop = currentLibrary().crops.find(({ id }) => id === goal.crop);
		if (crop) checkGoal(crop, goal.yieldGoal, '/yieldGoal');
		const fault = goal.plantingDate && plantingFault(goal.plantingDate, year);
		if (fault) throw new InputError([{ path: '/plantingDate', message: fault }]);
		setGoal(theBook(), params.field, year, {
			crop: goal.crop,
			yield_goal: goal.yieldGoal,
			previous_crop: goal.previousCrop ?? null,
			planting_date: goal.plantingDate ?? null,
			row_spacing_in: goal.rowSpacingIn ?? null,
			target_ph: goal.targetPh ?? null,
			target_ph_scale: goal.targetPhScale ?? null,
			residue_removed_percent: goal.residueRemovedPercent ?? null,
			starter_p2o5: goal.starterP2O5 ?? null
		});
	});
