import { formatNumber } from '../../../units/display';
import type { Pass } from '../../../schema-types';
import { MONTHS } from '../../../units/day-text';
import { hasTrait } from '../../plan/crop-traits';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { dressingOfPass } from '../../model/dressing-of-pass';
import { productOf } from '../../plan/plan-context';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, searchDays } = RULES['heavy-rain-month'];

/** Ammonium or urea in a month that long-term rainfall makes too wet for it. */
export const heavyRainMonthCheck: SeasonCheck = (passes, { products, station, limits, crop }) => {
	const rainIn = (date: string) => station.months[Number(date.slice(5, 7)) - 1]!.rainMm;
	const { heavyMonthMm } = limits.rain;
	const palms = hasTrait(crop, 'palm');
	const carriesPotash = (pass: Pass) => passNutrient(pass, productOf(pass, products), 'K2O') > 0;
	const drierMonths = MONTHS.filter((_, month) => station.months[month]!.rainMm < heavyMonthMm);
	return passes.flatMap((pass) => {
		const dressing = dressingOfPass(pass, productOf(pass, products), 0);
		// Potash washes off the circle of palms as ammonium does.
		const washes = (dressing?.ammonium ?? 0) + (dressing?.urea ?? 0) > 0 || (palms && carriesPotash(pass));
		if (!washes || rainIn(pass.date) < heavyMonthMm) return [];
		const drier = Array.from({ length: searchDays }, (_, at) => shiftDate(pass.date, at + 1)).find(
			(date) => rainIn(date) < heavyMonthMm
		);
		return [
			{
				rule: 'heavy-rain-month',
				severity: 'mind' as const,
				pass: pass.id,
				text: `The month of ${longDate(pass.date)} brings ${formatNumber(rainIn(pass.date), 'mm')} mm of rain in a usual year (heavy from ${heavyMonthMm}): no ammonium or urea${palms ? ' and no potash' : ''} then. ${drierMonths.length > 0 ? `Drier: ${drierMonths.join(', ')}.` : 'No month is drier.'}`,
				basis,
				remedies: drier ? [movedTo(pass, drier, 'a drier month')] : []
			}
		];
	});
};
