import { figure, type Answer, type Figure } from '../figure/figure';
import { plantsPerAcre } from '../ground/block/plant-density';
import type { Block } from '../schema-types';
import { KG_PER_LB } from '../units/factors';

/** Cups are calibrated to this, kg: common practice. */
const STEP_KG = 0.5;
/** A bag, kg: common practice. */
export const BAG_KG = 50;

/** What a team carries out to a block of palms. */
export interface PalmDose {
	/** kg for each palm, in steps of half a kilogram. */
	dose: Figure;
	/** Palms of the block. */
	palms: Figure;
	/** kg for the whole block. */
	product: Figure;
	/** Full bags, and the kilograms beside them. */
	bags: number;
	remainderKg: number;
	/** What the steps of the cup add to the planned rate, percent of it; below 0 where they take off. */
	offPercent: number;
}

/** Off by less than this, a step of the cup is not worth a word; judgement. */
const WORTH_A_WORD_PERCENT = 5;

/**
 * The dose of a pass for each palm as the cups give it, and the bags for the block: palms x dose in bags of 50 kg.
 * @param pounds lb/ac of product
 * @returns undefined without a block, its palms or its area, or where the dose is less than half a step
 */
export function palmDose(pounds: Answer, block: Block | undefined, areaAc: number | undefined): PalmDose | undefined {
	if (!block || areaAc === undefined || !pounds.applies) return undefined;
	const density = plantsPerAcre(block, areaAc);
	if (!density.applies) return undefined;
	const exact = (pounds.value / density.value) * KG_PER_LB;
	const kg = Math.round(exact / STEP_KG) * STEP_KG;
	if (kg === 0) return undefined;
	const dose = figure({
		label: 'dose for each palm',
		value: kg,
		unit: 'kg/palm',
		formula: 'rate / palms, in steps of 0.5 kg',
		inputs: [pounds, density],
		basis: 'practice'
	});
	const palms = figure({
		label: 'palms',
		value: Math.round(density.value * areaAc),
		unit: 'palms',
		formula: 'palms on an acre x area',
		inputs: [density, figure({ label: 'area', value: areaAc, unit: 'ac', basis: 'adviser' })],
		basis: 'practice'
	});
	const product = figure({
		label: 'product for the block',
		value: palms.value * kg,
		unit: 'kg',
		formula: 'palms x dose',
		inputs: [palms, dose],
		basis: 'practice'
	});
	const bags = Math.floor(product.value / BAG_KG);
	return {
		dose,
		palms,
		product,
		bags,
		remainderKg: product.value - bags * BAG_KG,
		offPercent: (100 * (kg - exact)) / exact
	};
}

/** "1 kg/palm, 3992 palms: 79 bags of 50 kg and 42 kg, 24 % over the planned rate". */
export function palmDoseText({ dose, palms, bags, remainderKg, offPercent }: PalmDose): string {
	const rest = remainderKg > 0 ? ` and ${remainderKg} kg` : '';
	const off = Math.round(Math.abs(offPercent));
	const beside = off < WORTH_A_WORD_PERCENT ? '' : `, ${off} % ${offPercent > 0 ? 'over' : 'under'} the planned rate`;
	return `${dose.value} kg/palm, ${palms.value} palms: ${bags} ${bags === 1 ? 'bag' : 'bags'} of ${BAG_KG} kg${rest}${beside}`;
}
