import type { Pass, PassCheck, Placement, Remedy } from '../../../schema-types';
import { longDate } from '../../../units/day-text';
import { placementName } from '../../../units/placement-name';
import { hasTrait } from '../../plan/crop-traits';
import { goesWithTheWater, isOnSurface } from '../../plan/placement-facts';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo, onTopOf } from '../moved';
import { RULES } from '../season-rules';

const { basis, graceDays, beforePlantingDays } = RULES['standing-crop'];

/** What goes between wide rows without harm, and tears out a crop that is drilled. */
const BETWEEN_ROWS: ReadonlySet<Placement> = new Set(['injected', 'mid-row band']);
/** What rolls through any stand. */
const HARMLESS: ReadonlySet<Placement> = new Set(['coulter mid-row', 'leaf']);
const DRILLED = ['wheat', 'small-seeded', 'forage-stand'] as const;

/** Tillage, or a band that goes on before or with planting, through a crop that stands: this one, or the one before it. */
export const standingCropCheck: SeasonCheck = (passes, context) =>
	context.crop.perennial ? [] : passes.flatMap((pass) => complaint(pass, context) ?? []);

function complaint(pass: Pass, context: PlanContext): PassCheck | undefined {
	if (isOnSurface(pass) || goesWithTheWater(pass) || HARMLESS.has(pass.placement)) return undefined;
	const { crop, cropBefore, plantingDate } = context;
	const base = { rule: 'standing-crop', severity: 'stop', pass: pass.id, basis } as const;
	const how = pass.placement === 'incorporated' ? 'Working it in' : `A pass as ${placementName(pass.placement)}`;
	if (cropBefore && pass.date >= cropBefore.from && pass.date <= cropBefore.to) {
		const text = `${how} on ${longDate(pass.date)} tears up the standing ${cropBefore.name} (usually harvested by ${longDate(cropBefore.to)}).`;
		return { ...base, text, remedies: [movedTo(pass, shiftDate(cropBefore.to, 1), 'after that harvest')] };
	}
	if (pass.date <= shiftDate(plantingDate, graceDays) || pass.date > harvestOf(context)) return undefined;
	const drilled = DRILLED.some((trait) => hasTrait(crop, trait));
	// Ammonia in wheat has a rule of its own.
	if (productOf(pass, context.products).hazards.includes('ammonia')) return undefined;
	if (BETWEEN_ROWS.has(pass.placement) && !drilled) return undefined;
	const text = `${how} on ${longDate(pass.date)} tears up the standing ${crop.name.toLowerCase()} (planted ${longDate(plantingDate)}).`;
	return { ...base, text, remedies: remediesFor(pass, context) };
}

function harvestOf({ plantingDate, schedule }: PlanContext): string {
	const days = schedule?.uptake?.harvestDays;
	return days === undefined ? '9999-12-31' : shiftDate(plantingDate, days);
}

/** On top where the product's card has a place for it, else before planting. */
function remediesFor(pass: Pass, { products, plantingDate }: PlanContext): Remedy[] {
	const { placements } = productOf(pass, products);
	const onTop = placements.includes('top-dress') ? [{ label: 'Top-dress it', passes: [onTopOf(pass)] }] : [];
	return [...onTop, movedTo(pass, shiftDate(plantingDate, -beforePlantingDays), 'before planting')];
}
