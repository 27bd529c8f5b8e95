import { rainText } from '../../../units/weather-units';
import type { Additive, Pass, Product } from '../../../schema-types';
import { productOf, type PlanContext } from '../../plan/plan-context';
import type { Dressing } from '../../model/dressing';
import { dressingOfPass } from '../../model/dressing-of-pass';
import { isOnSurface } from '../../plan/placement-facts';
import { usualStages } from '../../stages/stage-dates';
import { daysUntilRain, WASHES_IN_MM } from '../../weather/dry-spell';
import { knownDays, sourceOfDays } from '../../weather/known-weather';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, washedDays, steepUptake } = RULES['additive-pathway'];

/** An inhibitor that guards against a loss that is not going to happen. */
export const additivePathwayCheck: SeasonCheck = (passes, context) =>
	passes.flatMap((pass) => {
		const why = needlessAdditive(pass, productOf(pass, context.products), context);
		if (!why) return [];
		const { additive, ...without } = pass;
		const kept = remaining(additive!, why.additive);
		return [
			{
				rule: 'additive-pathway',
				severity: 'mind' as const,
				pass: pass.id,
				text: why.text,
				basis,
				remedies: [
					{ label: `Leave the ${why.additive} out`, passes: [kept ? { ...without, additive: kept } : without] }
				]
			}
		];
	});

type Single = Exclude<Additive, 'both inhibitors'>;

/** The inhibitor of a pass that guards nothing there, and why; undefined where it has none, or it guards something. */
export function needlessAdditive(
	pass: Pass,
	product: Product,
	context: PlanContext
): { additive: Single; text: string } | undefined {
	const dressing = dressingOfPass(pass, product, 0);
	if (!dressing) return undefined;
	const { urea, coated, ammonium, lies, ureaseInhibitor, nitrificationInhibitor } = dressing;
	if (ureaseInhibitor && urea + coated === 0) {
		return { additive: 'urease inhibitor', text: `${product.name} holds no urea: a urease inhibitor guards nothing.` };
	}
	// With the seed it slows the harm.
	if (ureaseInhibitor && pass.placement !== 'seed row' && (lies === 'mixed in' || lies === 'band')) {
		return {
			additive: 'urease inhibitor',
			text: `${pass.label} lies in the soil, where urea loses next to no ammonia: a urease inhibitor guards nothing.`
		};
	}
	if (nitrificationInhibitor && urea + coated + ammonium === 0) {
		return {
			additive: 'nitrification inhibitor',
			text: `${product.name} is nitrate already: a nitrification inhibitor guards nothing.`
		};
	}
	return needless(pass, dressing, context);
}

/** A loss that the weather or the crop's own hunger rules out. */
function needless(
	pass: Pass,
	{ ureaseInhibitor, nitrificationInhibitor }: Dressing,
	{ weather, stages, plantingDate, station, crop, units }: PlanContext
): { additive: Single; text: string } | undefined {
	const days = ureaseInhibitor && isOnSurface(pass) ? knownDays(weather, pass.date, washedDays) : undefined;
	if (days && daysUntilRain(days) !== undefined) {
		const source = sourceOfDays(weather, pass.date, washedDays);
		return {
			additive: 'urease inhibitor',
			text: `${rainText(WASHES_IN_MM, units)} of rain within ${washedDays - 1} days of ${longDate(pass.date)} ${source} washes the urea in: a urease inhibitor guards nothing.`
		};
	}
	if (!nitrificationInhibitor || !stages || pass.date <= plantingDate) return undefined;
	const steep = steepUptake[crop.id];
	const from = usualStages({ stages, plantingDate, station }).find(({ name }) => name === steep)?.date;
	if (from === undefined || pass.date < from) return undefined;
	return {
		additive: 'nitrification inhibitor',
		text: `From ${steep} on the crop takes nitrogen as fast as it turns: a nitrification inhibitor is not needed.`
	};
}

function remaining(now: Additive, off: Single): Additive | undefined {
	if (now !== 'both inhibitors') return undefined;
	return off === 'urease inhibitor' ? 'nitrification inhibitor' : 'urease inhibitor';
}
