import { KG_HA_PER_LB_AC, CM_PER_IN } from '../../units/factors';
import type { Pass, Placement, Product } from '../../schema-types';
import { passNutrient } from '../pass-nutrients';
import type { Dressing, Lies } from './dressing';

/** How each placement lies, and how deep where the pass does not say, in. Common practice. */
const LYING: Record<Placement, { lies: Lies; depthIn: number }> = {
	broadcast: { lies: 'surface', depthIn: 0 },
	'top-dress': { lies: 'surface', depthIn: 0 },
	'row-base stream': { lies: 'surface band', depthIn: 0 },
	incorporated: { lies: 'mixed in', depthIn: 3 },
	'2x2 band': { lies: 'band', depthIn: 2 },
	injected: { lies: 'band', depthIn: 5 }
};
/** Ammonia goes deeper than other injected products; common practice. */
const AMMONIA_DEPTH_IN = 7;

/**
 * A pass as the model sees it, kg N/ha by form.
 * @param day of the run on which it goes on
 * @returns undefined where it carries no nitrogen, or the forms of its nitrogen are not known
 */
export function dressingOfPass(pass: Pass, product: Product, day: number): Dressing | undefined {
	const { nitrogenForms: forms, hazards, slowRelease } = product;
	const kilograms = passNutrient(pass, product, 'N') * KG_HA_PER_LB_AC;
	if (kilograms === 0 || !forms) return undefined;
	const part = (percent: number) => (kilograms * percent) / 100;
	const { lies, depthIn } = LYING[pass.placement];
	const ammonia = hazards.includes('ammonia');
	const usual = ammonia ? AMMONIA_DEPTH_IN : depthIn;
	const both = pass.additive === 'both inhibitors';
	return {
		day,
		nitrate: part(forms.nitrate),
		ammonium: part(forms.ammonium),
		urea: slowRelease ? 0 : part(forms.urea),
		coated: slowRelease ? part(forms.urea) : 0,
		ammonia,
		lies,
		depthCm: (pass.depthIn ?? usual) * CM_PER_IN,
		ureaseInhibitor: both || pass.additive === 'urease inhibitor',
		nitrificationInhibitor: both || pass.additive === 'nitrification inhibitor'
	};
}
