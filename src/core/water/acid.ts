import { figure, type Figure } from '../figure/figure';
import { FT_PER_M, G_PER_LB, M2_PER_ACRE } from '../units/factors';

const L_PER_M3 = 1000;
const LITRES_PER_ACRE_FOOT = (M2_PER_ACRE / FT_PER_M) * L_PER_M3;

/** g/eq. */
const SULFURIC = 49.04;
/** Phosphoric acid gives about one proton above pH 4.5. */
const PHOSPHORIC = 98.0;
const GYPSUM = 86.07;
/** P2O5 in 100 % phosphoric acid, by weight: 141.94 / (2 x 98.0). */
const P2O5_PER_PHOSPHORIC = 0.7242;

/** lb in an acre-foot of water for a meq/L of something of this equivalent weight. */
export function lbPerAcreFoot(equivalentWeight: number): number {
	return ((equivalentWeight / 1000) * LITRES_PER_ACRE_FOOT) / G_PER_LB;
}

/** What an acre-foot takes for so many meq/L, lb. */
export interface AcidAmounts {
	/** Of 100 % acid. */
	sulfuric: Figure;
	/** Of 100 % acid. */
	phosphoric: Figure;
	/** What the phosphoric acid brings. */
	phosphate: Figure;
	/** Gypsum that would match as much bicarbonate by calcium. */
	gypsum: Figure;
}

/** Acid, and gypsum to match, for an acre-foot of water: meq/L x equivalent weight x litres. */
export function acidAmounts(acid: Figure): AcidAmounts {
	const of = (label: string, equivalentWeight: number, cautions: string[] = []) =>
		figure({
			label,
			value: acid.value * lbPerAcreFoot(equivalentWeight),
			unit: 'lb per acre-foot',
			formula: `meq/L x ${equivalentWeight} g/eq x litres of an acre-foot`,
			inputs: [acid],
			basis: 'practice',
			cautions
		});
	const phosphoric = of('phosphoric acid, 100 %', PHOSPHORIC, [
		'Phosphoric acid gives about one proton above pH 4.5, and brings far more phosphate than a crop takes: it cannot do the job alone.'
	]);
	return {
		sulfuric: of('sulfuric acid, 100 %', SULFURIC),
		phosphoric,
		phosphate: figure({
			label: 'P2O5 in that phosphoric acid',
			value: phosphoric.value * P2O5_PER_PHOSPHORIC,
			unit: 'lb per acre-foot',
			formula: `phosphoric acid x ${P2O5_PER_PHOSPHORIC}`,
			inputs: [phosphoric],
			basis: 'practice'
		}),
		gypsum: of('gypsum to match it', GYPSUM)
	};
}
