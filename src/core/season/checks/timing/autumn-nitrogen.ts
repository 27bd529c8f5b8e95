import { warmthText } from '../../../units/weather-units';
import { amountText, quantityIn } from '../../../units/amount-text';
import { formatNumber } from '../../../units/display';
import type { Pass, PassCheck, Remedy } from '../../../schema-types';
import { passNutrient, poundsPerAcre } from '../../plan/pass/pass-nutrients';
import { depthOf, liesOf } from '../../plan/placement-facts';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { isSownInAutumn } from '../../stages/stage-dates';
import { springOf } from '../../plan/spring';
import { coldSoilDate } from '../../weather/cold-soil-date';
import { knownDays } from '../../weather/known-weather';
import { shiftDate } from '../../weather/season-weather';
import { usualSoilC } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { guardedBy, movedTo, onTopOf } from '../moved';
import { longDate } from '../../../units/day-text';
import { isLight, LIGHT_BELOW_CEC } from '../../../reading/soil/light-soil';
import { COLD_SOIL_C } from '../../plan/usual-values';
import { RULES } from '../season-rules';

const { basis, leastLb, deepIn, soilFollowsDays, sown } = RULES['autumn-nitrogen'];

/** Autumn begins, as a month of the year. */
const FIRST_MONTH = 9;

/** Nitrogen that waits in the ground over winter: on light ground, as urea, or before the soil is cold. */
export const autumnNitrogenCheck: SeasonCheck = (passes, context) => {
	if (!context.crop.perennial && isSownInAutumn(context.plantingDate)) return sownComplaints(passes, context);
	return passes.flatMap((pass) => (waitsOverWinter(pass, context) ? (complaint(pass, context) ?? []) : []));
};

/** Whether a pass brings nitrogen in autumn for a crop that is planted in spring. */
export function waitsOverWinter(
	pass: Pass,
	{ plantingDate, products }: Pick<PlanContext, 'plantingDate' | 'products'>
): boolean {
	const waits =
		Number(pass.date.slice(5, 7)) >= FIRST_MONTH && pass.date < plantingDate && !isSownInAutumn(plantingDate);
	return waits && passNutrient(pass, productOf(pass, products), 'N') > leastLb;
}

/**
 * A crop sown in autumn takes up 20 to 30 lb by winter. What phosphate and manure bring along is let be a little beyond that; the rest
 * belongs to green-up. Manure counts by its ammonium.
 */
function sownComplaints(passes: readonly Pass[], context: PlanContext): PassCheck[] {
	const { plantingDate, crop, units } = context;
	const from = shiftDate(plantingDate, -sown.beforeDays);
	const until = `${plantingDate.slice(0, 4)}-${sown.until}`;
	const own = passes
		.filter(({ date }) => date >= from && (date < until || date <= plantingDate))
		.map((pass) => ({ pass, pounds: readyNitrogen(pass, context) }))
		.filter(({ pounds }) => pounds > 0);
	const total = own.reduce((sum, { pounds }) => sum + pounds, 0);
	const most = isLight(context) ? sown.lightMostLb : sown.mostLb;
	if (total <= most) return [];
	const { pass, pounds } = own.reduce((a, b) => (b.pounds > a.pounds ? b : a));
	const amount = amountText(units);
	const light = isLight(context) ? ' on light ground' : '';
	return [
		{
			rule: 'autumn-nitrogen',
			severity: total > sown.stopShare * most ? 'stop' : 'mind',
			pass: pass.id,
			text: `${amount(total)} N in autumn${light}: ${crop.name.toLowerCase()} takes up ${amount.bare(sown.takenLb[0]!, 'whole')} to ${amount(sown.takenLb[1]!, 'whole')} by winter. The rest is lost, or makes the crop lodge.`,
			basis,
			remedies: laterRemedies(pass, pounds, total - most, context)
		}
	];
}

/** Pounds that turn to nitrate before winter: of manure its ammonium, of all else everything. */
function readyNitrogen(pass: Pass, { products }: PlanContext): number {
	const product = productOf(pass, products);
	const ammonium = product.manure?.ammoniumPercent;
	if (ammonium !== undefined) return (poundsPerAcre(pass, product) * ammonium) / 100;
	return passNutrient(pass, product, 'N');
}

/** What is too much goes on at green-up, on top; what cannot lie on top is cut. */
function laterRemedies(pass: Pass, pounds: number, over: number, context: PlanContext): Remedy[] {
	const left = Math.max(0, 1 - over / pounds);
	const cut = { ...pass, rate: pass.rate * left };
	const onTop = productOf(pass, context.products).placements.includes('top-dress');
	const rest: Pass = {
		...onTopOf(pass),
		id: `${pass.id}-2`,
		label: `${pass.label}, at green-up`,
		date: springOf(context),
		rate: pass.rate * (1 - left)
	};
	const now = left === 0 ? [] : [cut];
	if (onTop) return [{ label: 'Top-dress the rest at green-up', passes: [...now, rest] }];
	return [{ label: 'Cut it to what the crop takes up by winter', passes: now }];
}

function complaint(pass: Pass, context: PlanContext): PassCheck | undefined {
	const { cec, station, products } = context;
	const toSpring = movedTo(pass, springOf(context));
	const base = { rule: 'autumn-nitrogen', pass: pass.id, basis };
	if (isLight(context)) {
		const why = cec !== undefined && cec < LIGHT_BELOW_CEC ? `CEC ${formatNumber(cec, 'meq/100 g')}` : 'sandy ground';
		const text = `No nitrogen in autumn on light ground (${why}): it leaches over winter.`;
		return { ...base, severity: 'stop', text, remedies: [toSpring] };
	}
	const known = knownDays(context.weather, shiftDate(pass.date, -soilFollowsDays), soilFollowsDays);
	const soilC = known
		? known.reduce((sum, { minC, maxC }) => sum + (minC + maxC) / 2, 0) / soilFollowsDays
		: usualSoilC(station, pass.date);
	const soil = warmthText(soilC, context.units);
	const guarded = pass.additive === 'nitrification inhibitor' || pass.additive === 'both inhibitors';
	if ((productOf(pass, products).nitrogenForms?.urea ?? 0) > 0) {
		const deep = liesOf(pass) === 'band' && depthOf(pass) >= deepIn;
		const cold = soilC < COLD_SOIL_C;
		const severity = deep && guarded && cold ? 'mind' : 'stop';
		const text = `Urea in autumn turns to nitrate before spring${severity === 'mind' ? '; deep, guarded and in cold ground it may last' : ''}.`;
		return { ...base, severity, text, remedies: [toSpring] };
	}
	if (soilC >= COLD_SOIL_C) {
		const { usual, early, late } = coldSoilDate(station, Number(pass.date.slice(0, 4)), COLD_SOIL_C, context.model);
		const text = `The soil at ${quantityIn(context.units, 4, 'in')} is ${known ? 'about' : 'usually'} ${soil} on ${longDate(pass.date)}: wait until it is below ${warmthText(COLD_SOIL_C, context.units)} and falling (usually from ${longDate(usual)}, in eight years of ten between ${longDate(early)} and ${longDate(late)}; measure it, the average date alone will not do).`;
		const cold = usual > pass.date ? usual : shiftDate(pass.date, soilFollowsDays);
		const later = cold > context.today ? cold : context.today;
		const remedies = later < springOf(context) ? [movedTo(pass, later), toSpring] : [toSpring];
		return { ...base, severity: 'stop', text, remedies };
	}
	if (guarded) return undefined;
	const text = `Ammonium waits over winter from ${longDate(pass.date)}; a nitrification inhibitor is the insurance, at the price of ${quantityIn(context.units, [2, 3], 'bu/ac of 56 lb')} of corn, worth more the warmer the soil and the longer the wait.`;
	return { ...base, severity: 'mind', text, remedies: [guardedBy(pass, 'nitrification inhibitor'), toSpring] };
}
