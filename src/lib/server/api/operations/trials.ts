import { InputError } from '../../../../core/check/problem';
import type {
	CreatedAnswer,
	LayerQuantity,
	PlotRecordsAction,
	RecordsRead,
	TrialAction,
	TrialBook,
	TrialShown,
	YieldLayerAction,
	YieldsTaken
} from '../../../../core/schema-types';
import { designCautions } from '../../../../core/trials/design/design-cautions';
import { checkPlan, layOut } from '../../../../core/trials/design/lay-out';
import { samePlots } from '../../../../core/trials/design/same-plots';
import { isRecorded } from '../../../../core/trials/plots/measures';
import { yieldOfPlots } from '../../../../core/trials/plots/yield-of-plots';
import { readTrial } from '../../../../core/trials/reading/read-trial';
import { ActionError } from '../../book/action-error';
import { readApart } from '../../files/apart/read-apart';
import { groundOfTrial, trialBoundary } from '../../field/trials/trial-ground';
import { termsOfTrial } from '../../field/trials/trial-terms';
import { yearOf } from '../../field/year-of';
import { listLayers, type LayerRecord } from '../../stores/ground-maps';
import {
	addTrial,
	findTrial,
	listTrials,
	removeTrial,
	setPlotRecords,
	setTrialPlan,
	type BookTrial
} from '../../stores/trials';
import { TRIAL_PLAN_EXAMPLE } from '../examples';
import { EXAMPLE_IDS, json, operation, type Call } from '../operation';
import { NotThere } from '../refusals';

function trialAt({ params, desk }: Pick<Call<'{trial}'>, 'params' | 'desk'>): BookTrial {
	const trial = findTrial(desk.book, params.trial);
	if (!trial) throw new NotThere('There is no such trial in this book.');
	return trial;
}

function fieldYearOf(desk: Call<''>['desk'], { fieldId, year }: BookTrial) {
	return desk.fieldYear({ field: fieldId, year: String(year) });
}

function layerOf(layers: readonly LayerRecord[], path: string, id: string, quantity: LayerQuantity): LayerRecord {
	const layer = layers.find((one) => one.id === id);
	if (!layer) throw new ActionError('There is no such layer on this field.');
	if (layer.quantity === quantity) return layer;
	throw new InputError([{ path, message: `must be a ${quantity} layer; ${layer.name} holds ${layer.quantity}` }]);
}

export const trialOperations = [
	operation('GET /api/trials', {
		summary: 'Lists the trials of the book',
		answer: json<TrialBook>('trial#/definitions/TrialBook'),
		run: ({ desk }) =>
			listTrials(desk.book).map(({ id, field, grower, year, plan, plots, records }) => ({
				id,
				field,
				grower,
				year,
				name: plan.name,
				plots: plots.length,
				measured: records.filter(({ values }) => values?.yield !== undefined).length
			}))
	}),
	operation('POST /api/fields/{field}/{year}/trials', {
		summary: 'Lays out a trial on a field: blocks and plots inside its boundary, treatments drawn by the seed',
		body: json<TrialAction>('trial#/definitions/TrialAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: { plan: TRIAL_PLAN_EXAMPLE },
		run: ({ params, desk }, { plan }) => {
			const fieldYear = desk.fieldYear(params);
			const plots = layOut(plan, trialBoundary(fieldYear), fieldYear.field.units);
			return { id: addTrial(desk.book, params.field, yearOf(params.year), { plan, plots, records: [] }) };
		}
	}),
	operation('GET /api/trials/{trial}', {
		summary: 'Gives a trial: plan, plots, what was measured, what to know of its design, and what its yields say',
		answer: json<TrialShown>('trial#/definitions/TrialShown'),
		run: (call) => {
			const trial = trialAt(call);
			const { id, fieldId, field, grower, year, plan, plots, records } = trial;
			const reading = readTrial(trial, 'yield', termsOfTrial(call.desk, trial));
			const ground = groundOfTrial(call.desk, fieldYearOf(call.desk, trial), plan, trial);
			return {
				id,
				fieldId,
				field,
				grower,
				year,
				record: { plan, plots, records },
				cautions: designCautions(plan, plots, ground),
				...(reading.applies ? { analysis: reading.answer, verdict: reading.verdict } : {})
			};
		}
	}),
	operation('PUT /api/trials/{trial}', {
		summary: 'Changes the plan of a trial; plots are laid out anew where it asks for others and none is measured yet',
		body: json<TrialAction>('trial#/definitions/TrialAction'),
		example: { plan: { ...TRIAL_PLAN_EXAMPLE, name: 'Two rates, again', seed: 12 } },
		run: (call, { plan }) => {
			const trial = trialAt(call);
			const fieldYear = fieldYearOf(call.desk, trial);
			const { units } = fieldYear.field;
			checkPlan(plan, units);
			// Plots stay where they were drawn, whatever became of the boundary.
			if (samePlots(plan, trial.plan)) return setTrialPlan(call.desk.book, trial, plan, trial.plots);
			if (trial.records.some(isRecorded)) {
				throw new ActionError('Plots of this trial have been measured: lay out another instead of moving them.');
			}
			setTrialPlan(call.desk.book, trial, plan, layOut(plan, trialBoundary(fieldYear), units));
		}
	}),
	operation('PUT /api/trials/{trial}/records', {
		summary: 'Saves what was measured on the plots, in place of what is there',
		body: json<PlotRecordsAction>('trial#/definitions/PlotRecordsAction'),
		example: { records: [{ plot: 101, values: { yield: 182.5 }, moisturePercent: 17.2 }] },
		stands: (call) => trialAt(call).records,
		run: (call, { records }) => {
			const trial = trialAt(call);
			const known = new Set(trial.plots.map(({ plot }) => plot));
			records.forEach(({ plot }, at) => {
				if (!known.has(plot)) {
					throw new InputError([{ path: `/records/${at}/plot`, message: `${plot} is no plot of this trial` }]);
				}
				if (records.findIndex((one) => one.plot === plot) < at) {
					throw new InputError([{ path: `/records/${at}/plot`, message: `${plot} stands twice` }]);
				}
			});
			setPlotRecords(call.desk.book, trial, records);
		}
	}),
	operation('POST /api/trials/{trial}/records/file', {
		summary: 'Imports a filled-in data sheet (CSV): all of it, or nothing',
		file: { megabytes: 2, tooLarge: ': is it the data sheet of the trial?' },
		answer: json<RecordsRead>('trial#/definitions/RecordsRead'),
		run: async (call, _, file) => {
			const trial = trialAt(call);
			const records = await readApart('plots', { file, plots: trial.plots, known: trial.records }, call.gone);
			setPlotRecords(call.desk.book, trial, records, `Imported ${file.name} into ${trial.plan.name}`);
			return { plots: records.length };
		}
	}),
	operation('POST /api/trials/{trial}/records/layer', {
		summary: 'Takes the yields of the plots from a yield layer of the field, edges left out',
		body: json<YieldLayerAction>('trial#/definitions/YieldLayerAction'),
		answer: json<YieldsTaken>('trial#/definitions/YieldsTaken'),
		example: { layer: EXAMPLE_IDS.yieldLayer, sideFt: 0, endFt: 0 },
		run: (call, action) => {
			const trial = trialAt(call);
			const layers = listLayers(call.desk.book, trial.fieldId);
			const layer = layerOf(layers, '/layer', action.layer, 'yield');
			const { moistureLayer } = action;
			if (moistureLayer !== undefined && action.moisturePercent !== undefined) {
				const message = 'must be left out where moisture is a layer: one or the other';
				throw new InputError([{ path: '/moisturePercent', message }]);
			}
			const moisture =
				moistureLayer === undefined
					? undefined
					: layerOf(layers, '/moistureLayer', moistureLayer, 'grain moisture').points;
			const { yieldUnit } = termsOfTrial(call.desk, trial);
			if (layer.unit !== yieldUnit) {
				const message = `must be in ${yieldUnit}, as the trial is read; ${layer.name} is in ${layer.unit || 'no unit'}: import it in that unit`;
				throw new InputError([{ path: '/layer', message }]);
			}
			const { records, missing, leftOut } = yieldOfPlots(
				trial.plan,
				trial.plots,
				layer.points,
				{ ...action, moisture },
				trial.records
			);
			setPlotRecords(call.desk.book, trial, records, `Cut a yield layer by the plots of ${trial.plan.name}`);
			return { missing, leftOut };
		}
	}),
	operation('DELETE /api/trials/{trial}', {
		summary: 'Deletes a trial with what was measured on it',
		run: (call) => removeTrial(call.desk.book, trialAt(call))
	})
] as const;
