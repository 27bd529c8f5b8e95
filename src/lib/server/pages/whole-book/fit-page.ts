import type { Observation } from '../../../../core/schema-types';
import { rateOf } from '../../../../core/trials/design/treatments';
import { atStandardMoisture } from '../../../../core/trials/plots/standard-moisture';
import type { Desk } from '../../desk';
import { termsOfTrial } from '../../field/trials/trial-terms';
import { findFieldYear } from '../../stores/field-years';
import { pricesOn } from '../../stores/prices';
import { listCurves } from '../../stores/response-curves';
import { findTrial, type BookTrial } from '../../stores/trials';

/** The page on which curves are fitted; `from` names a curve and `trial` a trial whose plots it starts with. */
export function fitPage(desk: Desk, asked: URLSearchParams) {
	const { book, library, today } = desk;
	const prices = pricesOn(book, today);
	const trial = findTrial(book, asked.get('trial') ?? '');
	return {
		title: 'Fit a trial',
		from: trial ? plotsOf(desk, trial) : listCurves(book).find(({ id }) => id === asked.get('from')),
		nitrogenPrice: prices.get('nutrient:N'),
		crops: library.crops
			.filter(({ perennial }) => !perennial)
			.map(({ id, name, yieldUnit }) => ({ id, name, yieldUnit, price: prices.get(`grain:${id}`) }))
	};
}

/** The plots of a trial that tries rates, as a fit takes them; those set aside are left out. */
function plotsOf(desk: Desk, trial: BookTrial): { crop: string; observations: Observation[] } {
	const { plan, plots, records, fieldId, year } = trial;
	const { standardMoisturePercent } = termsOfTrial(desk, trial);
	return {
		crop: findFieldYear(desk.book, fieldId, year)?.crop ?? 'corn-grain',
		observations: plots.flatMap((plot) => {
			const own = records.find((one) => one.plot === plot.plot);
			const rate = rateOf(plan, plot);
			if (own?.values?.yield === undefined || own.setAside !== undefined || rate === undefined) return [];
			const weighed = atStandardMoisture(own.values.yield, own.moisturePercent, standardMoisturePercent);
			return [{ rate, yield: Math.round(weighed * 100) / 100, block: plot.block }];
		})
	};
}
