import type { Pass, PassCheck, Remedy } from '../../../schema-types';
import { formatNumber } from '../../../units/display';
import { MM_PER_IN } from '../../../units/factors';
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

/** Less than this is a top-up, lb N/ac: judgement. */
const LEAST_LB = 40;
/** The ground is what the week before made it, mm of rain: dry up to the one, wet from the other. Judgement. */
const DAYS_BEFORE = 7;
const DRY_MM = 6;
const WET_MM = 25;
/** So far ahead the outlook matters, and less than this many days say nothing. */
const DAYS_AHEAD = 7;
const LEAST_DAYS = 3;
const LAST_LEAVES = 9;

/** How to side-dress corn by the moisture of the ground and the rain in sight: advice with its reason, where the plan does otherwise. Common practice. */
export const sideDressMethodCheck: SeasonCheck = (passes, context) => {
	if (!hasTrait(context.crop, 'corn')) return [];
	return passes.flatMap((pass) => adviceOn(pass, context) ?? []);
};

function adviceOn(pass: Pass, context: PlanContext): PassCheck | undefined {
	const { products, plantingDate, station, weather } = context;
	const product = productOf(pass, products);
	if (pass.date <= plantingDate || passNutrient(pass, product, 'N') < LEAST_LB) return undefined;
	const leaves = usualCornLeaves(station, plantingDate, pass.date);
	if (leaves < 2 || leaves > LAST_LEAVES) return undefined;
	const beforeFrom = shiftDate(pass.date, -DAYS_BEFORE);
	const before = knownDaysFrom(weather, beforeFrom, DAYS_BEFORE);
	const ahead = knownDaysFrom(weather, pass.date, DAYS_AHEAD);
	if (before.length < DAYS_BEFORE || ahead.length < LEAST_DAYS) return undefined;
	const sum = (days: readonly { rainMm: number }[]) => days.reduce((all, { rainMm }) => all + rainMm, 0);
	const fallen = sum(before);
	const coming = sum(ahead);
	const inches = (mm: number) => formatNumber(mm / MM_PER_IN, 'in');
	const seen = `${inches(fallen)} in of rain in the week before, ${inches(coming)} in in the ${ahead.length} days from ${longDate(pass.date)} ${sourceOfDays(weather, pass.date, ahead.length)}`;
	const base = { rule: 'side-dress-method', severity: 'note' as const, pass: pass.id, basis: 'practice' as const };
	const place = (placement: Pass['placement'], label: string): Remedy[] =>
		product.placements.includes(placement) && pass.placement !== placement
			? [{ label, passes: [{ ...pass, placement }] }]
			: [];
	if (fallen >= WET_MM) {
		const text = `Wet ground (${seen}): the method matters less than being in by V8.`;
		return { ...base, text, remedies: [] };
	}
	if (fallen > DRY_MM) return undefined;
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
