import { figure, type Answer, type Figure } from '../figure/figure';
import { plantsPerAcre } from '../ground/block/plant-density';
import type { Block } from '../schema-types';
import { CUP_KG, cupsOf } from '../season/plan/pass/palm-cups';
import { KG_PER_LB } from '../units/factors';

/** A bag, kg: common practice. */
export const BAG_KG = 50;

/** What a team carries out to a block of palms. */
export interface PalmDose {
	/** kg for each palm, in whole cups. */
	dose: Figure;
	/** Palms of the block. */
	palms: Figure;
	/** kg for the whole block. */
	product: Figure;
	/** Full bags, and the kilograms beside them. */
	bags: number;
	remainderKg: number;
}

/**
 * The dose of a pass for each palm, and the bags for the block: palms x dose in bags of 50 kg.
 * @param pounds lb/ac of product
 * @returns undefined without a block, its palms or its area, or where the dose is no whole cup
 */
export function palmDose(pounds: Answer, block: Block | undefined, areaAc: number | undefined): PalmDose | undefined {
	if (!block || areaAc === undefined || !pounds.applies) return undefined;
	const density = plantsPerAcre(block, areaAc);
	if (!density.applies) return undefined;
	const { cups, whole } = cupsOf(pounds.value, (CUP_KG / KG_PER_LB) * density.value);
	if (!whole) return undefined;
	const dose = figure({
		label: 'dose for each palm',
		value: cups * CUP_KG,
		unit: 'kg/palm',
		formula: 'rate / palms',
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
		value: palms.value * dose.value,
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
		remainderKg: product.value - bags * BAG_KG
	};
}

/** "1 kg/palm, 3992 palms: 79 bags of 50 kg and 42 kg". */
export function palmDoseText({ dose, palms, bags, remainderKg }: PalmDose): string {
	const rest = remainderKg > 0 ? ` and ${remainderKg} kg` : '';
	return `${dose.value} kg/palm, ${palms.value} palms: ${bags} ${bags === 1 ? 'bag' : 'bags'} of ${BAG_KG} kg${rest}`;
}
