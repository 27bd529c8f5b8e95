import { figure, type Answer, type Figure } from '../figure/figure';
import type { WaterReport } from '../schema-types';
import { K2O_PER_K } from '../units/factors';
import { allKnown } from '../figure/all-known';
import { ppmOf, type Ion, type Trace } from './ions';

/** lb/ac in 12 in of water for each ppm (mg/L) of what is dissolved in it; common practice. */
const LB_AC_PER_PPM_FOOT_OF_WATER = 2.72;
const IN_PER_FOOT = 12;
/** Sulfur in sulfate, by weight. */
const S_PER_SO4 = 0.3338;

/** What water brings, by the name it has in the balance: of which ion, and how much of it that is by weight. */
const BROUGHT: Record<string, { ion: Ion | Trace; share: number }> = {
	N: { ion: 'no3n', share: 1 },
	K2O: { ion: 'k', share: K2O_PER_K },
	S: { ion: 'so4', share: S_PER_SO4 },
	Ca: { ion: 'ca', share: 1 },
	Mg: { ion: 'mg', share: 1 },
	Cl: { ion: 'cl', share: 1 },
	Na: { ion: 'na', share: 1 },
	B: { ion: 'b', share: 1 }
};

/** What an adviser says is put on in a season. */
export function waterPutOn(inches: number): Figure {
	return figure({ label: 'water put on', value: inches, unit: 'in of water', basis: 'adviser' });
}

/**
 * What a season's water brings, lb/ac: ppm x 2.72 for each 12 in.
 * @param put inches that are put on, above 0
 * @returns by nutrient; does not apply where the report does not give it
 */
export function delivered(water: WaterReport, put: Figure): Record<string, Answer> {
	return Object.fromEntries(
		Object.entries(BROUGHT).map(([nutrient, { ion, share }]) => {
			const label = `${nutrient} in the season's water`;
			const answer = allKnown(label, { ppm: ppmOf(water, ion) }, ({ ppm }) => broughtByWater(label, ppm, put, share));
			return [nutrient, answer];
		})
	);
}

/**
 * What so much water brings of what is dissolved in it, lb/ac: ppm x 2.72 for each 12 in; common practice.
 * @param share of the dissolved that counts, by weight
 */
export function broughtByWater(label: string, ppm: Figure, inches: Figure, share = 1): Figure {
	return figure({
		label,
		value: (ppm.value * share * LB_AC_PER_PPM_FOOT_OF_WATER * inches.value) / IN_PER_FOOT,
		unit: 'lb/ac',
		formula: `ppm ${share === 1 ? '' : `x ${share} `}x ${LB_AC_PER_PPM_FOOT_OF_WATER} for each 12 in`,
		inputs: [ppm, inches],
		basis: 'practice'
	});
}
