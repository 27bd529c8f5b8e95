import { InputError, type Problem } from '../../../../core/check/problem';
import { OWN_CURVES } from '../../../../core/rates/nitrogen/own-curves';
import type { CreatedAnswer, HouseProgramme, SavedWork, WorkAction, WorkRun } from '../../../../core/schema-types';
import { beginWork, cancelWork, findWork, saveWork } from '../../field/work/runs';
import type { Desk } from '../../desk';
import { listCurves } from '../../stores/response-curves';
import { addHouseProgramme, changeHouseProgramme, removeHouseProgramme } from '../../stores/plan/house-programmes';
import { PROGRAMME_EXAMPLE } from '../examples';
import { EXAMPLE_IDS, json, operation } from '../operation';
import { NotThere } from '../refusals';

export const workOperations = [
	operation('POST /api/work', {
		summary: 'Begins to work out what a piece of work does to many fields; nothing is written',
		body: json<WorkAction>('work#/definitions/WorkAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: { year: 2027, fields: [EXAMPLE_IDS.field], work: { kind: 'days', days: 7 } },
		names: ({ fields }) => ({ field: fields }),
		run: ({ desk }, action) => ({ id: beginWork(desk, action) })
	}),
	operation('GET /api/work/{run}', {
		summary: 'Says how far a piece of work is, and when it is ready what would become of each field',
		answer: json<WorkRun>('work#/definitions/WorkRun'),
		run: ({ params }) => workNamed(params.run)
	}),
	operation('POST /api/work/{run}/save', {
		summary: 'Saves a piece of work that is ready, as one action that can be undone',
		body: json<Record<string, never>>('actions#/definitions/EmptyAction'),
		answer: json<SavedWork>('work#/definitions/SavedWork'),
		example: {},
		run: ({ params }) => {
			workNamed(params.run);
			return { fields: saveWork(params.run) };
		}
	}),
	operation('POST /api/work/{run}/cancel', {
		summary: 'Leaves a piece of work off; nothing was written',
		body: json<Record<string, never>>('actions#/definitions/EmptyAction'),
		example: {},
		run: ({ params }) => {
			workNamed(params.run);
			cancelWork(params.run);
		}
	}),
	operation('POST /api/programmes', {
		summary: 'Writes a house programme: how a crop is done on a kind of ground',
		body: json<HouseProgramme>('house-programme#/definitions/HouseProgramme'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: PROGRAMME_EXAMPLE,
		run: ({ desk }, programme) => {
			checkProgramme(programme, desk);
			return { id: addHouseProgramme(desk.book, programme, desk.today) };
		}
	}),
	operation('PUT /api/programmes/{programme}', {
		summary: 'Saves the next version of a house programme; fields keep the version they were planned by',
		body: json<HouseProgramme>('house-programme#/definitions/HouseProgramme'),
		example: { ...PROGRAMME_EXAMPLE, rounding: { lb: 10 } },
		run: ({ params, desk }, programme) => {
			checkProgramme(programme, desk);
			changeHouseProgramme(desk.book, params.programme, programme, desk.today);
		}
	}),
	operation('DELETE /api/programmes/{programme}', {
		summary: 'Takes a house programme out of use; fields that follow it still name it',
		run: ({ params, desk }) => removeHouseProgramme(desk.book, params.programme)
	})
] as const;

function workNamed(id: string): WorkRun {
	const found = findWork(id);
	if (!found) throw new NotThere('There is no such work, or it was forgotten: preview it again.');
	return found;
}

/** @throws InputError naming crops, methods and products that are not known, and placements a product has not */
function checkProgramme(
	{ crops, rates, products, nitrogen = [] }: HouseProgramme,
	{ library, book }: Pick<Desk, 'library' | 'book'>
): void {
	const curves = listCurves(book).map(({ id }) => `${OWN_CURVES}/${id}`);
	const problems: Problem[] = [];
	const need = (known: boolean, path: string, message: string) => {
		if (!known) problems.push({ path, message });
	};
	const product = (id: string) => library.products.find((one) => one.id === id);
	crops.forEach((id, at) =>
		need(
			library.crops.some((crop) => crop.id === id),
			`/crops/${at}`,
			`"${id}" is no crop the program knows`
		)
	);
	rates.forEach(({ nutrient, methods }, row) =>
		methods.forEach((method, at) =>
			need(
				(nutrient === 'N' && curves.includes(method)) ||
					library.packs.rules.some((rule) => rule.method === method && rule.rule.gives === nutrient),
				`/rates/${row}/methods/${at}`,
				`"${method}" is no method for ${nutrient} of the guides in use`
			)
		)
	);
	products.forEach(({ instead, take }, at) => {
		need(product(instead) !== undefined, `/products/${at}/instead`, `"${instead}" is no product the program knows`);
		need(product(take) !== undefined, `/products/${at}/take`, `"${take}" is no product the program knows`);
	});
	nitrogen.forEach(({ product: id, placement }, at) => {
		const card = product(id);
		const brings = card !== undefined && (card.analysis.N ?? 0) > 0;
		need(brings, `/nitrogen/${at}/product`, `"${id}" is no product with nitrogen`);
		need(
			!card || card.placements.includes(placement),
			`/nitrogen/${at}/placement`,
			`${card?.name} is put on ${card?.placements.join(', ')}; got "${placement}"`
		);
	});
	if (problems.length > 0) throw new InputError(problems);
}
