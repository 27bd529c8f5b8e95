import { sharedParameters } from '../../packs/parameters-of';
import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import { limeDepth } from '../../reading/lime-depth';
import type { Site } from '../../reading/site';
import type { FinenessScheme, LimingMaterial } from '../../schema-types';

/** Between the schemes of different states: common practice. A pack may bring its own. */
const USUAL_SCHEME: FinenessScheme = {
	sieves: [
		{ finerThanMesh: 60, efficiency: 1 },
		{ finerThanMesh: 8, efficiency: 0.5 },
		{ finerThanMesh: 0, efficiency: 0.15 }
	],
	basis: 'practice'
};

/**
 * Share of a liming material that acts, as a fraction (0 to 2): the guide's own reference lime where the adviser
 * names none.
 */
export function readEffectiveFraction({ limingMaterial, crop }: Site, compiled: CompiledRule): Answer {
	const { rule, pack } = compiled;
	if (limingMaterial) return effectiveFraction(limingMaterial, pack.finenessScheme);
	const { referenceEffectiveFraction = 1 } = sharedParameters<{ referenceEffectiveFraction: number }>(
		compiled,
		crop.id
	);
	const pure = referenceEffectiveFraction === 1;
	return figure({
		label: pure ? 'effective fraction of pure CaCO3' : "effective fraction of the guide's reference lime",
		value: referenceEffectiveFraction,
		unit: '',
		basis: rule.basis,
		citation: rule.citation
	});
}

/**
 * Effective fraction of a material: neutralizing value x fineness x (1 - moisture), fineness as given or as the sum
 * over the sieves of share x efficiency. Source of the product: common practice.
 * @returns does not apply where the analysis lacks a sieve that the scheme asks for
 */
export function effectiveFraction(material: LimingMaterial, scheme: FinenessScheme = USUAL_SCHEME): Answer {
	const { neutralizingValuePercent, moisturePercent = 0 } = material;
	const fineness = finenessOf(material, scheme);
	if (!fineness.applies) return fineness;
	return figure({
		label: 'effective fraction of this lime',
		value: (neutralizingValuePercent / 100) * (fineness.value / 100) * (1 - moisturePercent / 100),
		unit: '',
		formula: 'neutralizing value x fineness x (1 - moisture)',
		inputs: [part('neutralizing value', neutralizingValuePercent), fineness, part('moisture', moisturePercent)],
		basis: 'practice'
	});
}

function finenessOf({ finenessPercent, passing = [] }: LimingMaterial, scheme: FinenessScheme): Answer {
	if (finenessPercent !== undefined) return part('fineness', finenessPercent);
	const { sieves, basis, citation } = scheme;
	const steps: Figure[] = [];
	let finer = 0;
	for (const { finerThanMesh, efficiency } of sieves) {
		const passes = finerThanMesh === 0 ? 100 : passing.find(({ mesh }) => mesh === finerThanMesh)?.percent;
		if (passes === undefined) {
			return notApplicable(
				'fineness',
				`the lime's analysis does not say what passes ${finerThanMesh} mesh`,
				`Ask the quarry for the percent passing ${finerThanMesh} mesh.`
			);
		}
		const name = finerThanMesh === 0 ? 'the rest' : `finer than ${finerThanMesh} mesh`;
		steps.push(
			figure({
				label: name,
				value: Math.max(0, passes - finer) * efficiency,
				unit: '%',
				formula: `share x ${efficiency}`,
				inputs: [part(`share ${name}`, Math.max(0, passes - finer))],
				basis,
				citation
			})
		);
		finer = Math.max(finer, passes);
	}
	return figure({
		label: 'fineness',
		value: steps.reduce((sum, { value }) => sum + value, 0),
		unit: '%',
		formula: 'sum over the sieves of share x efficiency',
		inputs: steps,
		basis,
		citation
	});
}

function part(label: string, value: number): Figure {
	return figure({ label, value, unit: '%', basis: 'adviser' });
}

const DEPTH_FROM = {
	adviser: { label: 'depth limed', basis: 'adviser' },
	surface: { label: 'depth limed from the surface', basis: 'practice' },
	guide: { label: 'depth worked, by the guide', basis: 'practice' }
} as const;

/** Inches of soil to be limed: what is worked, or the top of the soil where lime stays on the surface. */
export function readLimeDepth(site: Site, compiled: CompiledRule): Answer {
	const shared = sharedParameters<{ referenceDepthIn?: number }>(compiled, site.crop.id);
	const { depthIn, from } = limeDepth(site, shared.referenceDepthIn);
	return figure({ ...DEPTH_FROM[from], value: depthIn, unit: 'in' });
}
