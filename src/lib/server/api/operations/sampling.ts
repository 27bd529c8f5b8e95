import { InputError } from '../../../../core/check/problem';
import type { BagsAction, MarkBagsAction, PlanBagsAction, PlannedBags } from '../../../../core/schema-types';
import { markBags, planBags, removeBags } from '../../stores/sampling/bags';
import { EXAMPLE_IDS, json, operation } from '../operation';

export const samplingOperations = [
	operation('POST /api/bags', {
		summary:
			'Plans bags of soil from fields, their zones or points of a grid, and gives each the code for its label and the lab’s file',
		body: json<PlanBagsAction>('sampling#/definitions/PlanBagsAction'),
		answer: json<PlannedBags>('sampling#/definitions/PlannedBags'),
		example: {
			year: 2027,
			fields: [EXAMPLE_IDS.field],
			depths: [{ top: 0, bottom: 6, depthUnit: 'in' }],
			byZone: true,
			cores: 15
		},
		names: ({ fields }) => ({ field: fields }),
		run: ({ desk }, action) => {
			const problems = action.depths.flatMap(({ top, bottom, depthUnit }, at) =>
				bottom > top
					? []
					: [
							{
								path: `/depths/${at}`,
								message: `the depth ${top}-${bottom} ${depthUnit} is upside down; write the top first, as 0-6`
							}
						]
			);
			if (action.byZone && action.acresEach !== undefined) {
				problems.push({ path: '/acresEach', message: 'must be left out where bags are of zones: one or the other' });
			}
			if (problems.length > 0) throw new InputError(problems);
			return { codes: planBags(desk.book, action, desk.today) };
		}
	}),
	operation('PUT /api/bags', {
		summary: 'Says that bags were pulled or sent, or are planned again, as one action',
		body: json<MarkBagsAction>('sampling#/definitions/MarkBagsAction'),
		example: { bags: [EXAMPLE_IDS.bag], stage: 'pulled', on: '2026-11-20', who: 'Ada' },
		run: ({ desk }, action) => markBags(desk.book, action)
	}),
	operation('POST /api/bags/removal', {
		summary: 'Removes bags that are not back yet from the sampling plan, as one action',
		body: json<BagsAction>('sampling#/definitions/BagsAction'),
		example: { bags: [EXAMPLE_IDS.bag] },
		run: ({ desk }, { bags }) => removeBags(desk.book, bags)
	})
] as const;
