import { figure, notApplicable, type Answer } from '../figure/figure';
import type { Restriction, WaterLimits, WaterReport } from '../schema-types';
import { allKnown } from '../figure/all-known';
import { meqOf } from './ions';

/**
 * Sodium adsorption ratio: Na / sqrt((Ca + Mg) / 2), meq/L (USDA Handbook 60, 1954).
 * @returns does not apply without all three, or where calcium and magnesium are both 0
 */
export function sodiumAdsorptionRatio(water: WaterReport): Answer {
	const label = 'sodium adsorption ratio';
	const ions = { na: meqOf(water, 'na'), ca: meqOf(water, 'ca'), mg: meqOf(water, 'mg') };
	return allKnown(label, ions, ({ na, ca, mg }) => {
		if (ca.value + mg.value <= 0)
			return notApplicable(label, 'the water holds neither calcium nor magnesium', 'Ask the lab to look again.');
		return figure({
			label,
			value: na.value / Math.sqrt((ca.value + mg.value) / 2),
			unit: 'SAR',
			formula: 'Na / sqrt((Ca + Mg) / 2)',
			inputs: [na, ca, mg],
			basis: 'memory',
			citation: 'USDA Handbook 60, 1954'
		});
	});
}

/**
 * Residual sodium carbonate, meq/L: CO3 + HCO3 - Ca - Mg; below 0 where calcium and magnesium are left over.
 * Carbonate that the lab does not tell is 0 below pH 8.3, where water holds next to none.
 */
export function residualSodiumCarbonate(water: WaterReport): Answer {
	const ions = {
		co3: carbonateOf(water),
		hco3: meqOf(water, 'hco3'),
		ca: meqOf(water, 'ca'),
		mg: meqOf(water, 'mg')
	};
	return allKnown('residual sodium carbonate', ions, ({ co3, hco3, ca, mg }) =>
		figure({
			label: 'residual sodium carbonate',
			value: co3.value + hco3.value - ca.value - mg.value,
			unit: 'meq/L',
			formula: 'CO3 + HCO3 - Ca - Mg',
			inputs: [co3, hco3, ca, mg],
			basis: 'memory',
			citation: 'USDA Handbook 60, 1954'
		})
	);
}

/** Below this a lab finds no carbonate by its titration; common practice. */
const CARBONATE_FROM_PH = 8.3;

/** Carbonate, meq/L; 0 by the pH where the lab does not tell it. */
export function carbonateOf(water: WaterReport): Answer {
	if (water.co3 !== undefined || water.ph === undefined || water.ph >= CARBONATE_FROM_PH) return meqOf(water, 'co3');
	return figure({
		label: 'carbonate in the water',
		value: 0,
		unit: 'meq/L',
		formula: `none below pH ${CARBONATE_FROM_PH}`,
		inputs: [figure({ label: 'pH of the water', value: water.ph, unit: 'pH', basis: 'measured' })],
		basis: 'practice'
	});
}

/**
 * How far water slows its own way into the soil: sodium closes pores, salt keeps them open (Ayers and Westcot 1985).
 * @param sar up to the last class of the table, 40
 * @returns undefined beyond it
 */
export function infiltration(
	sar: number,
	ecDsM: number,
	{ classes }: WaterLimits['infiltration']
): Restriction | undefined {
	const found = classes.find(({ toSar }) => sar <= toSar);
	if (!found) return undefined;
	if (ecDsM > found.noneAbove) return 'none';
	return ecDsM < found.severeUnder ? 'severe' : 'slight to moderate';
}
