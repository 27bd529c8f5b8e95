import { rainText } from '../../../units/weather-units';
import type { Pass, PassCheck, Remedy } from '../../../schema-types';
import { hasTrait } from '../../plan/crop-traits';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { liesOf } from '../../plan/placement-facts';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { knownDaysFrom, sourceOfDays } from '../../weather/known-weather';
import { shiftDate } from '../../weather/season-weather';
import { usualCornLeaves } from '../../weather/usual-weather';
import { WASHES_IN_MM } from '../../weather/dry-spell';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, leastLb, daysBefore, dryMm, wetMm, daysAhead, leastDays, lastLeaves } = RULES['side-dress-method'];

/** How to side-dress corn by the moisture of the ground and the rain in sight: advice with its reason, where the plan does otherwise. Common practice. */
export const sideDressMethodCheck: SeasonCheck = (passes, context) => {
	if (!hasTrait(context.crop, 'corn')) return [];
	return passes.flatMap((pass) => adviceOn(pass, context) ?? []);
};

function adviceOn(pass: Pass, context: PlanContext): PassCheck | undefined {
	const { products, plantingDate, station, weather } = context;
	const product = productOf(pass, products);
	if (pass.date <= plantingDate || passNutrient(pass, product, 'N') < leastLb) return undefined;
	const leaves = usualCornLeaves(station, plantingDate, pass.date);
	if (leaves < 2 || leaves > lastLeaves) return undefined;
	const beforeFrom = shiftDate(pass.date, -daysBefore);
	const before = knownDaysFrom(weather, beforeFrom, daysBefore);
	const ahead = knownDaysFrom(weather, pass.date, daysAhead);
	if (before.length < daysBefore || ahead.length < leastDays) return undefined;
	const sum = (days: readonly { rainMm: number }[]) => days.reduce((all, { rainMm }) => all + rainMm, 0);
	const fallen = sum(before);
	const coming = sum(ahead);
	const rain = (mm: number) => rainText(mm, context.units);
	const seen = `${rain(fallen)} of rain in the week before, ${rain(coming)} in the ${ahead.length} days from ${longDate(pass.date)} ${sourceOfDays(weather, pass.date, ahead.length)}`;
	const base = { rule: 'side-dress-method', severity: 'note' as const, pass: pass.id, basis };
	const place = (placement: Pass['placement'], label: string): Remedy[] =>
		product.placements.includes(placement) && pass.placement !== placement
			? [{ label, passes: [{ ...pass, placement }] }]
			: [];
	if (fallen >= wetMm) {
		const text = `Wet ground (${seen}): the method matters less than being in by V8.`;
		return { ...base, text, remedies: [] };
	}
	if (fallen > dryMm) return undefined;
	if (coming < WASHES_IN_MM) {
		if (liesOf(pass) === 'band') return undefined;
		const text = `Dry ground and no rain to speak of in sight (${seen}): inject it with knife or coulter.`;
		const remedies = [...place('injected', 'Inject it'), ...place('coulter mid-row', 'Put it in by coulter')];
		return { ...base, text, remedies };
	}
	if (pass.placement === 'row-base stream') return undefined;
	const text = `Dry ground, but rain is in sight (${seen}): a drop-nozzle band at the row base is washed to the roots. Heavy dew does something of the same.`;
	return { ...base, text, remedies: place('row-base stream', 'Stream it at the row base') };
}
