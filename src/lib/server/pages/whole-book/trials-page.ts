import { treatmentOf } from '../../../../core/trials/analysis/plots';
import { wholeMeans } from '../../../../core/trials/reading/whole-means';
import { readTrial } from '../../../../core/trials/reading/read-trial';
import { seasonRain, type SeasonRain } from '../../../../core/trials/sites/season-rain';
import type { Desk } from '../../desk';
import { termsOfTrial } from '../../field/trials/trial-terms';
import { weatherFor } from '../../field/weather-for';
import { findField } from '../../stores/fields';
import { listTrials, type BookTrial } from '../../stores/trials';

/** The trials of the book, with what each says, and the means by which several can be read together. */
export function trialsPage(desk: Desk) {
	return {
		title: 'Trials',
		trials: listTrials(desk.book).map((trial) => {
			const { id, field, grower, year, plan, plots, records } = trial;
			const terms = termsOfTrial(desk, trial);
			const reading = readTrial(trial, 'yield', terms);
			const measured = records.filter(({ values }) => values?.yield !== undefined).length;
			return {
				id,
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
				/** Of whole treatments, with standard errors. */
				means: reading.applies
					? wholeMeans(reading.answer).flatMap((one) =>
							one.se === null ? [] : [{ treatment: treatmentOf(one), mean: one.mean, se: one.se }]
						)
					: []
			};
		})
	};
}

/** Of the season in which its crop was harvested, at the station of its grower. */
function rainOf({ book, library }: Desk, { fieldId, year }: BookTrial): SeasonRain | undefined {
	const { station, measured } = weatherFor(findField(book, fieldId)!, library);
	return seasonRain(year, station, measured);
}
