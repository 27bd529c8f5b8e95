import { hasTrait } from '../../plan/crop-traits';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, closedAge } = RULES['open-canopy'];

/** Nitrogen for palms by machine only once the canopy has closed: before, roots do not fill the ground between. */
export const openCanopyCheck: SeasonCheck = (passes, { crop, products, plantAge }) => {
	if (!hasTrait(crop, 'palm') || plantAge === undefined || plantAge >= closedAge) return [];
	return passes
		.filter((pass) => pass.machine !== undefined && passNutrient(pass, productOf(pass, products), 'N') > 0)
		.map((pass) => ({
			rule: 'open-canopy',
			severity: 'mind' as const,
			pass: pass.id,
			text: `The canopy closes in about year ${closedAge}, and these palms are in year ${plantAge}: until then nitrogen goes by hand over the weeded circle.`,
			basis,
			remedies: [{ label: 'Put it on by hand', passes: [{ ...pass, machine: undefined }] }]
		}));
};
