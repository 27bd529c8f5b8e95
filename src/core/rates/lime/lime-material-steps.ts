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

/** A rate at the guide's own depth and lime, brought to this depth and this lime. */
export function toDepthAndMaterial(p: Reference, atReference: number, numbers: RuleNumbers): number {
	const scaled = atReference * (numbers.limeDepthIn / p.referenceDepthIn);
	return scaled * (p.referenceEffectiveFraction / numbers.effectiveFraction);
}

/** The same as two steps of the worksheet. */
export function depthAndMaterialSteps(
	p: Reference,
	line: Figure,
	{ limeDepthIn, effectiveFraction }: RuleFigures,
	words: RuleWords
): Figure {
	const source = sourceOf(words);
	const depth = figure({
		label: 'for the depth limed',
		value: line.value * (limeDepthIn.value / p.referenceDepthIn),
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
		value: depth.value * (p.referenceEffectiveFraction / effectiveFraction.value),
		unit: words.unit,
		formula: 'x effective fraction of the reference lime / of this lime',
		inputs: [depth, reference, effectiveFraction],
		...source,
		cautions: words.cautions
	});
}
