import { figure, type Answer } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import type { Site } from '../../reading/site';

/**
 * Share of a liming material that acts: neutralizing value x fineness x (1 - moisture), as a fraction (0 to 2).
 * The guide's own reference lime where the adviser names none. Source of the product: common practice.
 */
export function readEffectiveFraction({ limingMaterial }: Site, { rule, parametersFor }: CompiledRule): Answer {
	const label = 'effective fraction of this lime';
	if (!limingMaterial) {
		const reference = (parametersFor(undefined) as { referenceEffectiveFraction: number }).referenceEffectiveFraction;
		return figure({
			label,
			value: reference,
			unit: '',
			basis: rule.basis,
			citation: rule.citation,
			formula: "the guide's reference lime"
		});
	}
	const { neutralizingValuePercent, finenessPercent, moisturePercent = 0 } = limingMaterial;
	const part = (name: string, value: number) => figure({ label: name, value, unit: '%', basis: 'adviser' });
	return figure({
		label,
		value: (neutralizingValuePercent / 100) * (finenessPercent / 100) * (1 - moisturePercent / 100),
		unit: '',
		formula: 'neutralizing value x fineness x (1 - moisture)',
		inputs: [
			part('neutralizing value', neutralizingValuePercent),
			part('fineness', finenessPercent),
			part('moisture', moisturePercent)
		],
		basis: 'practice'
	});
}

/** Inches of soil to be limed: the adviser's working depth, else as deep as the layer that gives the buffer pH. */
export function readLimeDepth({ limeDepthIn, layers }: Site): Answer {
	const label = 'depth limed';
	if (limeDepthIn !== undefined) return figure({ label, value: limeDepthIn, unit: 'in', basis: 'adviser' });
	const layer = layers.find(({ results }) => results.some(({ analyte }) => analyte === 'bufferPh')) ?? layers[0]!;
	return figure({
		label: `${label}, as sampled (${layer.depthText})`,
		value: layer.bottomIn,
		unit: 'in',
		basis: 'measured'
	});
}
