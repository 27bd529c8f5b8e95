import { rainText } from '../../../units/weather-units';
import { amountText, quantityIn } from '../../../units/amount-text';
import { KG_HA_PER_LB_AC } from '../../../units/factors';
import type { Pass, PassCheck, Product, Remedy, WeatherDay } from '../../../schema-types';
import { startCohort } from '../../model/dressing';
import { dressingOfPass } from '../../model/dressing-of-pass';
import { ureaDay } from '../../model/urea';
import { isOnSurface } from '../../plan/placement-facts';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { chanceOfDrySpell, daysUntilRain, WASHES_IN_MM } from '../../weather/dry-spell';
import { knownDaysFrom, sourceOfDays } from '../../weather/known-weather';
import { shiftDate } from '../../weather/season-weather';
import { usualSoilC } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { guardedBy, movedTo } from '../moved';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { safeDays, dryDays, leastLb, often, workedInIn, injectedIn } = RULES['surface-urea'];

/** Urea on the surface with no rain in sight to wash it in. */
export const surfaceUreaCheck: SeasonCheck = (passes, context) =>
	passes.flatMap((pass) => {
		const product = productOf(pass, context.products);
		const dressing = dressingOfPass(pass, product, 0);
		if (!dressing || !isOnSurface(pass) || dressing.ureaseInhibitor || dressing.coated > 0) return [];
		const ureaLb = dressing.urea / KG_HA_PER_LB_AC;
		if (ureaLb < leastLb) return [];
		const days = knownDaysFrom(context.weather, pass.date, dryDays);
		return days.length > safeDays
			? dryComplaint(pass, product, ureaLb, days, context)
			: usualNote(pass, product, ureaLb, context);
	});

function dryComplaint(
	pass: Pass,
	product: Product,
	ureaLb: number,
	days: readonly WeatherDay[],
	context: PlanContext
): PassCheck[] {
	const wet = daysUntilRain(days);
	if (wet !== undefined && wet <= safeDays) return [];
	const lost = lostLb(pass, product, days, context);
	const span = wet === undefined ? `${days.length} days` : `the first ${wet} days`;
	const beyond = wet === undefined ? beyondText(pass, days.length, context) : '';
	const text = `Less than ${rainText(WASHES_IN_MM, context.units)} of rain in ${span} from ${longDate(pass.date)} ${sourceOfDays(context.weather, pass.date, days.length)}${beyond}, and ${amountText(context.units)(ureaLb)} of this is urea on the surface: about ${amountText(context.units)(lost, 'whole')} may leave as ammonia.`;
	const beforeRain = wet === undefined ? [] : [movedTo(pass, shiftDate(pass.date, wet - 1), 'just before the rain')];
	return [
		{
			rule: 'surface-urea',
			severity: 'mind',
			pass: pass.id,
			text,
			basis: 'memory',
			remedies: [guardedBy(pass, 'urease inhibitor'), ...beforeRain, ...intoTheSoil(pass, product, context)]
		}
	];
}

/** What the usual weather says of the days that the outlook does not reach. */
function beyondText({ date }: Pass, known: number, { station }: PlanContext): string {
	const rest = dryDays - known;
	if (rest === 0) return '';
	const dry = Math.round(chanceOfDrySpell(station, shiftDate(date, known), rest) * 10);
	return `; for the ${rest} days after them the usual weather: in about ${dry} years of 10 they stay dry too`;
}

/** What the daily model loses of it to the air in these days, lb N/ac. */
function lostLb(
	pass: Pass,
	product: Product,
	days: readonly WeatherDay[],
	{ station, soilPh, model }: PlanContext
): number {
	const cohort = startCohort(dressingOfPass(pass, product, 0)!, model);
	const soil = { soilPh: soilPh ?? model.volatilisation.referencePh, residue: false };
	let soilC = usualSoilC(station, pass.date);
	let lost = 0;
	for (const { minC, maxC, rainMm } of days) {
		soilC += model.soilTemperature.dailyShare * ((minC + maxC) / 2 - soilC);
		lost += ureaDay(cohort, soilC, rainMm, soil, model);
	}
	return lost / KG_HA_PER_LB_AC;
}

/** Where the days are not known yet, how often they are dry. */
function usualNote(pass: Pass, product: Product, ureaLb: number, context: PlanContext): PassCheck[] {
	const dry = chanceOfDrySpell(context.station, pass.date, dryDays);
	if (dry < often) return [];
	const text = `In about ${Math.round(dry * 10)} years of 10 less than ${rainText(WASHES_IN_MM, context.units)} falls within ${dryDays} days of ${longDate(pass.date)}, and ${amountText(context.units)(ureaLb)} of this is urea on the surface: look at the outlook before it goes on.`;
	const remedies = [guardedBy(pass, 'urease inhibitor'), ...intoTheSoil(pass, product, context)];
	return [{ rule: 'surface-urea', severity: 'note', pass: pass.id, text, basis: 'practice', remedies }];
}

function intoTheSoil(pass: Pass, { placements }: Product, { plantingDate, units }: PlanContext): Remedy[] {
	const into = (placement: Pass['placement'], depthIn: number, label: string): Remedy[] =>
		placements.includes(placement) ? [{ label, passes: [{ ...pass, placement, depthIn }] }] : [];
	return pass.date < plantingDate
		? into('incorporated', workedInIn, `Work it in, ${quantityIn(units, workedInIn, 'in')} deep`)
		: into('coulter mid-row', injectedIn, `Put it in by coulter, ${quantityIn(units, injectedIn, 'in')} deep`);
}
