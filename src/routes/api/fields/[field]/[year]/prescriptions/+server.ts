import { validator } from '$core/check/validator';
import type { PrescriptionAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { ActionError } from '$lib/server/book/action-error';
import { currentLibrary } from '$lib/server/current-library';
import { makePrescription } from '$lib/server/field/make-prescription';
import { fieldYearOf } from '$lib/server/http/params';
import { listLayers, listZones } from '$lib/server/stores/ground-maps';
import { addPrescription } from '$lib/server/stores/prescriptions';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { RequestHandler } from './$types';

const asAction = validator<PrescriptionAction>('actions#/definitions/PrescriptionAction');

/** Makes a prescription for a pass of the plan and keeps it. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asAction, (action) => {
		const fieldYear = fieldYearOf(params);
		const { field, advice } = fieldYear;
		if (!advice) throw new ActionError(`${field.name} has no sample, crop and goal for this year yet.`);
		const content = makePrescription(
			{
				fieldYear,
				advice,
				zones: listZones(theBook(), field.id, { crop: advice.goal.crop, year: advice.goal.year }),
				layers: listLayers(theBook(), field.id),
				library: currentLibrary(),
				today: today(),
				preparedBy: readSettings(theBook()).preparedBy
			},
			action
		);
		return { id: addPrescription(theBook(), field.id, advice.goal.id, content) };
	});
