import { treatmentOf } from '../../../../core/trials/analysis/plots';
import { treatmentText } from '../../../../core/trials/design/treatment-codes';
import { treatmentsOf } from '../../../../core/trials/design/treatments';
import { wholeMeans } from '../../../../core/trials/reading/whole-means';
import { readTrial } from '../../../../core/trials/reading/read-trial';
import { seasonRain, type SeasonRain } from '../../../../core/trials/sites/season-rain';
import { siteNames } from '../../../../core/trials/sites/site-names';
import type { Desk } from '../../desk';
import { nitrogenTrials } from '../../field/trials/nitrogen-trials';
import { termsOfTrial } from '../../field/trials/trial-terms';
import { weatherFor } from '../../field/weather-for';
import { findField } from '../../stores/fields';
import { listTrials, type BookTrial } from '../../stores/trials';

/** The trials of the book, with what each says, and the means by which several can be read together. */
export function trialsPage(desk: Desk) {
	const all = listTrials(desk.book);
	const names = siteNames(all);
	return {
		title: 'Trials',
		units: desk.settings.units,
		nitrogen: nitrogenTrials(desk, all),
		trials: all.map((trial, at) => {
			const { id, field, grower, year, plan, plots, records } = trial;
			const terms = termsOfTrial(desk, trial);
			const reading = readTrial(trial, 'yield', terms);
			const measured = records.filter(({ values }) => values?.yield !== undefined).length;
			return {
				id,
				site: names[at]!,
				field,
				grower,
				year,
				name: plan.name,
				design: plan.design,
				plots: plots.length,
				measured,
				says: reading.applies ? reading.headline : measured === 0 ? 'laid out, not measured yet' : reading.reason,
				yieldUnit: terms.yieldUnit,
				rain: rainOf(desk, trial),
				grounds: [...new Set(plan.grounds ?? [])].filter(Boolean),
				usual: usualText(plan),
				/** Of whole treatments, with standard errors. */
				means: reading.applies
					? wholeMeans(reading.answer).flatMap((one) =>
							one.se === null ? [] : [{ treatment: treatmentText(plan, one.levels), mean: one.mean, se: one.se }]
						)
					: []
			};
		})
	};
}

/** Usual practice with the unit of its rate. */
function usualText(plan: BookTrial['plan']): string | undefined {
	const levels = treatmentsOf(plan).find((one) => treatmentOf({ levels: one }) === plan.usual);
	return levels && treatmentText(plan, levels);
}

/** Of the season in which its crop was harvested, at the station of its grower. */
function rainOf({ book, library }: Desk, { fieldId, year }: BookTrial): SeasonRain | undefined {
	const { station, measured } = weatherFor(findField(book, fieldId)!, library);
	return seasonRain(year, station, measured);
}
