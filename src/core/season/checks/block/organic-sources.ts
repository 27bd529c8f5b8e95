import { keysOf } from '../../../check/typed-object';
import type { Nutrient, Pass, Product, Remedy } from '../../../schema-types';
import { passNutrient, productFor } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis } = RULES['organic-sources'];

/** In an organic block only what its rules allow: manure and residues, lime, rock phosphate, sulfate of potash where certified. */
export const organicSourcesCheck: SeasonCheck = (passes, { block, products }) => {
	if (!block?.organic) return [];
	return passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (product.organic || product.manure) return [];
		return [
			{
				rule: 'organic-sources',
				severity: 'stop' as const,
				pass: pass.id,
				text: `The block is organic, and ${product.name} is not allowed there. Manure, compost, lime, rock phosphate and sulfate of potash are, where they are certified: the certifier has the last word.`,
				basis,
				remedies: allowedInstead(pass, product, products)
			}
		];
	});
};

/** The same amount of its only nutrient in a product that is allowed, the richest first. */
function allowedInstead(pass: Pass, product: Product, products: readonly Product[]): Remedy[] {
	const [nutrient, ...more] = keysOf<Nutrient>(product.analysis);
	if (!nutrient || more.length > 0) return [];
	const [best] = products
		.filter(
			({ organic, crops, analysis, placements }) =>
				organic && !crops && analysis[nutrient] && placements.includes('broadcast')
		)
		.sort((a, b) => b.analysis[nutrient]! - a.analysis[nutrient]!);
	if (!best) return [];
	const rate = productFor(passNutrient(pass, product, nutrient), best, nutrient);
	const instead = { ...pass, product: best.id, rate, unit: 'lb/ac' as const, placement: 'broadcast' as const };
	return [
		{
			label: `Take ${best.name.toLowerCase()} instead`,
			passes: [{ ...instead, depthIn: undefined, offsetIn: undefined }]
		}
	];
}
