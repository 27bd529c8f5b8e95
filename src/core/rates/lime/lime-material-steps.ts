import type { FromSchema } from 'json-schema-to-ts';
import { figure, type Figure } from '../../figure/figure';
import { sourceOf, type RuleFigures, type RuleNumbers, type RuleWords } from '../../packs/rule-kind';

/** What a guide's lime rates are in: inches of soil and the share of the material that acts. */
export const referenceParameters = {
	referenceDepthIn: { type: 'number', exclusiveMinimum: 0 },
	referenceEffectiveFraction: { type: 'number', exclusiveMinimum: 0, maximum: 2 }
} as const;

type Reference = FromSchema<{
	readonly type: 'object';
	readonly required: readonly ['referenceDepthIn', 'referenceEffectiveFraction'];
	readonly properties: typeof referenceParameters;
}>;

/** Short tons/ac at the guide's own depth and lime, and of that lime to this depth. */
export const depthAndMaterial = { atReference: NaN, toDepth: NaN };

/** A rate at the guide's own depth and lime, brought to this depth and this lime. */
export function toDepthAndMaterial(p: Reference, numbers: RuleNumbers, s: typeof depthAndMaterial): number {
	s.toDepth = s.atReference * (numbers.limeDepthIn / p.referenceDepthIn);
	return s.toDepth * (p.referenceEffectiveFraction / numbers.effectiveFraction);
}

/** The same as two steps of the worksheet. */
export function depthAndMaterialSteps(
	p: Reference,
	worked: typeof depthAndMaterial & { rate: number },
	line: Figure,
	{ limeDepthIn, effectiveFraction }: RuleFigures,
	words: RuleWords
): Figure {
	const source = sourceOf(words);
	const depth = figure({
		label: 'for the depth limed',
		value: worked.toDepth,
		unit: words.unit,
		formula: `x depth / ${p.referenceDepthIn} in`,
		inputs: [line, limeDepthIn],
		...source
	});
	const reference = figure({
		label: 'effective fraction of the reference lime',
		value: p.referenceEffectiveFraction,
		unit: '',
		...source
	});
	return figure({
		label: words.title,
		value: worked.rate,
		unit: words.unit,
		formula: 'x effective fraction of the reference lime / of this lime',
		inputs: [depth, reference, effectiveFraction],
		...source,
		cautions: words.cautions
	});
}
