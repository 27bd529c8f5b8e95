import { figure, type Figure } from '../../../figure/figure';
import type { Crop, Pass, Product } from '../../../schema-types';
import { LB_PER_GAL_OF_WATER } from '../../../units/factors';
import { RULES } from '../season-rules';
import { hasTrait } from '../../plan/crop-traits';
import { passPounds } from '../../plan/pass/pass-figures';

const { basis, mostPercent, usualWaterGalAc, mostWaterGalAc } = RULES['leaf-spray-strength'];

/**
 * Gallons of water to the acre that a leaf spray goes on with: the most that a pass of its trip says, else as usual for the
 * crop.
 */
export function sprayWater(
	together: readonly Pick<Pass, 'waterGalAc'>[],
	{ perennial }: Pick<Crop, 'perennial'>
): Figure {
	const said = Math.max(0, ...together.map(({ waterGalAc = 0 }) => waterGalAc));
	const usual = usualWaterGalAc[perennial ? 'perennial' : 'annual'];
	return said === 0
		? figure({ label: 'water, as usual for the crop', value: usual, unit: 'gal/ac', basis })
		: figure({ label: 'water', value: said, unit: 'gal/ac', basis: 'adviser' });
}

/**
 * Percent of the product in a leaf spray by weight: 100 x lb/ac / (gal/ac x 8.345).
 * @param together the sprays of its trip, which share the water
 */
export function sprayStrength(
	pass: Pass,
	product: Product,
	crop: Pick<Crop, 'perennial'>,
	together: readonly Pass[] = [pass]
): Figure {
	const pounds = passPounds(pass, product);
	const water = sprayWater(together, crop);
	return figure({
		label: `${product.name} in the spray`,
		value: (100 * pounds.value) / (water.value * LB_PER_GAL_OF_WATER),
		unit: '%',
		formula: `100 x lb/ac / (gal/ac x ${LB_PER_GAL_OF_WATER})`,
		inputs: [pounds, water],
		basis
	});
}

/** More water than this a sprayer does not put on at once, gal/ac. */
export function mostSprayWater({ perennial }: Pick<Crop, 'perennial'>): number {
	return mostWaterGalAc[perennial ? 'perennial' : 'annual'];
}

/** The strongest spray of a product that leaves of a crop stand, percent by weight. */
export function mostSprayPercent({ nitrogenForms }: Product, crop: Pick<Crop, 'traits'>): number {
	if (!nitrogenForms || nitrogenForms.urea < 100) return mostPercent.salt;
	return hasTrait(crop, 'cereal') ? mostPercent.ureaOnCereals : mostPercent.urea;
}
