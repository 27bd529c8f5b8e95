import { formatNumber } from '../../../units/display';
import type { Pass, PassCheck } from '../../../schema-types';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { depthOf, liesOf } from '../../plan/placement-facts';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { harvestYear } from '../../stages/stage-dates';
import { springOf } from '../../plan/spring';
import { coldSoilDate } from '../../weather/cold-soil-date';
import { knownDays } from '../../weather/known-weather';
import { shiftDate } from '../../weather/season-weather';
import { usualSoilC } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { guardedBy, movedTo } from '../moved';
import { longDate } from '../../../units/day-text';
import { LIGHT_BELOW_CEC } from '../../../reading/soil/light-soil';
import { COLD_SOIL_C } from '../../plan/usual-values';
import { RULES } from '../season-rules';

const { basis, leastLb, deepIn, soilFollowsDays } = RULES['autumn-nitrogen'];

/** Nitrogen that waits in the ground over winter: on light ground, as urea, or before the soil is cold. */
export const autumnNitrogenCheck: SeasonCheck = (passes, context) =>
	passes.flatMap((pass) => (isAutumn(pass, context) ? (complaint(pass, context) ?? []) : []));

/** Before planting it waits; on light ground it waits also where a crop sown in autumn stands. */
function isAutumn(pass: Pass, context: PlanContext): boolean {
	const { plantingDate, products } = context;
	const sown = plantingDate < `${harvestYear(plantingDate)}-01-01` && isLight(context);
	const waits =
		Number(pass.date.slice(5, 7)) >= 9 &&
		(pass.date < plantingDate || (sown && pass.date < `${harvestYear(plantingDate)}-01-01`));
	return waits && passNutrient(pass, productOf(pass, products), 'N') > leastLb;
}

function isLight({ sandy, cec }: PlanContext): boolean {
	return sandy || (cec !== undefined && cec < LIGHT_BELOW_CEC);
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
	const soil = `${formatNumber(Math.round(soilC * 1.8 + 32), 'F')} F`;
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
		const text = `The soil at 4 in is ${known ? 'about' : 'usually'} ${soil} on ${longDate(pass.date)}: wait until it is below 50 F and falling (usually from ${longDate(usual)}, in eight years of ten between ${longDate(early)} and ${longDate(late)}; measure it, the average date alone will not do).`;
		const later = usual > pass.date ? usual : shiftDate(pass.date, soilFollowsDays);
		return { ...base, severity: 'stop', text, remedies: [movedTo(pass, later), toSpring] };
	}
	if (guarded) return undefined;
	const text = `Ammonium waits over winter from ${longDate(pass.date)}; a nitrification inhibitor is the insurance, at the price of two or three bushels of corn, worth more the warmer the soil and the longer the wait.`;
	return { ...base, severity: 'mind', text, remedies: [guardedBy(pass, 'nitrification inhibitor'), toSpring] };
}
