import { CM_PER_IN, KG_HA_PER_LB_AC } from '../../units/factors';
import type { Pass, Product } from '../../schema-types';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { depthOf, liesOf } from '../plan/placement-facts';
import type { Dressing } from './dressing';
import type { IrrigationDay } from './irrigation-days';

/**
 * A pass as the model sees it, kg N/ha by form.
 * @param day of the run on which it goes on
 * @param reachedOn day of the run from which roots reach it; undefined where it lies within reach
 * @returns undefined where it supplies no nitrogen, or the forms of its nitrogen are not known
 */
export function dressingOfPass(pass: Pass, product: Product, day: number, reachedOn?: number): Dressing | undefined {
	const { nitrogenForms: forms, hazards, slowRelease } = product;
	const kilograms = passNutrient(pass, product, 'N') * KG_HA_PER_LB_AC;
	if (kilograms === 0 || !forms) return undefined;
	const part = (percent: number) => (kilograms * percent) / 100;
	const ammonia = hazards.includes('ammonia');
	const both = pass.additive === 'both inhibitors';
	return {
		day,
		nitrate: part(forms.nitrate),
		ammonium: part(forms.ammonium),
		urea: slowRelease ? 0 : part(forms.urea),
		coated: slowRelease ? part(forms.urea) : 0,
		ammonia,
		lies: liesOf(pass),
		depthCm: depthOf(pass, ammonia) * CM_PER_IN,
		ureaseInhibitor: both || pass.additive === 'urease inhibitor',
		nitrificationInhibitor: both || pass.additive === 'nitrification inhibitor',
		reachedOn
	};
}

/** The nitrate in the water of an irrigation; nothing where it holds none. */
export function dressingOfWater({ day, nitrateKgHa }: IrrigationDay): Dressing[] {
	if (nitrateKgHa === 0) return [];
	return [
		{
			day,
			nitrate: nitrateKgHa,
			ammonium: 0,
			urea: 0,
			coated: 0,
			ammonia: false,
			lies: 'mixed in',
			depthCm: 0,
			ureaseInhibitor: false,
			nitrificationInhibitor: false
		}
	];
}
