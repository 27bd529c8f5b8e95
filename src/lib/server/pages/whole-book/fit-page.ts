import { yieldUnitOf } from '../../../../core/units/rate-units';
import type { Observation } from '../../../../core/schema-types';
import type { Desk } from '../../desk';
import { sourceName } from '../../field/trials/became-of-trial';
import { ratesOfTrial } from '../../field/trials/rates-of-trial';
import { termsOfTrial } from '../../field/trials/trial-terms';
import { findFieldYear } from '../../stores/field-years';
import { pricesOn } from '../../stores/prices';
import { listCurves } from '../../stores/response-curves';
import { findTrial, type BookTrial } from '../../stores/trials';

/** The page on which curves are fitted; `from` names a curve and `trial` a trial whose plots it starts with. */
export function fitPage(desk: Desk, asked: URLSearchParams) {
	const { book, library, today, settings } = desk;
	const prices = pricesOn(book, today);
	const trial = findTrial(book, asked.get('trial') ?? '');
	return {
		title: 'Fit a trial',
		units: settings.units,
		from: trial ? plotsOf(desk, trial) : listCurves(book).find(({ id }) => id === asked.get('from')),
		nitrogenPrice: prices.get('nutrient:N'),
		crops: library.crops
			.filter(({ perennial }) => !perennial)
			.map((crop) => ({
				id: crop.id,
				name: crop.name,
				yieldUnit: yieldUnitOf(crop),
				price: prices.get(`grain:${crop.id}`)
			}))
	};
}

function plotsOf(desk: Desk, trial: BookTrial): { crop: string; observations: Observation[]; source: string } {
	return {
		crop: findFieldYear(desk.book, trial.fieldId, trial.year)?.crop ?? 'corn-grain',
		source: sourceName(trial),
		observations: ratesOfTrial(trial, termsOfTrial(desk, trial).standardMoisturePercent)
	};
}
