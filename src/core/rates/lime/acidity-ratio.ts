import type { FromSchema } from 'json-schema-to-ts';
import { figure, notApplicable } from '../../figure/figure';
import { phValue } from '../../packs/ph-value';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { callsForLime, gateParameters, noLime } from './lime-gate';
import {
	depthAndMaterial,
	depthAndMaterialSteps,
	referenceParameters,
	toDepthAndMaterial
} from './lime-material-steps';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['bufferReferencePh', 'phPerAcidity', 'neutralPh', 'referenceDepthIn', 'referenceEffectiveFraction'],
	properties: {
		bufferReferencePh: { type: 'number', description: 'pH of the buffer without soil' },
		phPerAcidity: {
			type: 'number',
			exclusiveMinimum: 0,
			description: 'buffer pH lost for each meq/100 cm3 of acidity'
		},
		neutralPh: { ...phValue, description: 'soil pH at which the whole acidity is gone' },
		...referenceParameters,
		...gateParameters
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

const steps = { acidity: NaN, ...depthAndMaterial };

/**
 * Acidity ratio: acidity (meq/100 cm3) from the Mehlich buffer, AC = (6.6 - buffer pH) / 0.25, and of it the share
 * that lies between the soil's pH and the target: AC x (target - pH) / (6.6 - pH), short tons/ac.
 * Source: state laboratory practice in the south-east, from memory.
 * NaN (does not apply) for a target above the pH at which all acidity is gone.
 */
export const acidityRatio: RuleKind<Parameters, typeof steps> = {
	kind: 'acidity-ratio',
	parameters,
	steps,
	needs: () => ['soilPh', 'bufferPh', 'targetPh', 'limeDepthIn', 'effectiveFraction'],
	compute(p, numbers, s) {
		const { soilPh, targetPh, bufferPh } = numbers;
		if (targetPh > p.neutralPh.ph) return NaN;
		s.acidity = Math.max(0, (p.bufferReferencePh - bufferPh) / p.phPerAcidity);
		s.atReference = s.acidity * shareToTarget(p, soilPh, targetPh);
		const rate = toDepthAndMaterial(p, numbers, s);
		if (Number.isNaN(rate)) return NaN;
		return callsForLime(p, soilPh, targetPh) ? rate : 0;
	},
	explain(p, figures, words, worked) {
		const { soilPh, bufferPh, targetPh } = figures;
		if (targetPh.value > p.neutralPh.ph) {
			return notApplicable(
				words.title,
				`the guide reckons to pH ${p.neutralPh.ph} at most, and the target here is ${targetPh.value}`,
				`Set a target of ${p.neutralPh.ph} or less, or choose another lime method.`
			);
		}
		if (!callsForLime(p, soilPh.value, targetPh.value)) return noLime(p, soilPh, targetPh, words);
		const source = sourceOf(words);
		const ac = figure({
			label: 'acidity',
			value: worked.acidity,
			unit: 'meq/100 cm3',
			formula: `(${p.bufferReferencePh} - buffer pH) / ${p.phPerAcidity}, never below 0`,
			inputs: [bufferPh],
			...source
		});
		const line = figure({
			label: 'reference lime, reference depth',
			value: worked.atReference,
			unit: words.unit,
			formula: `acidity x (target - pH) / (${p.neutralPh.ph} - pH)`,
			inputs: [ac, targetPh, soilPh],
			...source
		});
		return depthAndMaterialSteps(p, worked, line, figures, words);
	}
};

/** None where the soil is at or above the target; the guard also keeps the quotient from a division by zero. */
function shareToTarget(p: Parameters, soilPh: number, targetPh: number): number {
	return soilPh >= targetPh ? 0 : (targetPh - soilPh) / (p.neutralPh.ph - soilPh);
}
