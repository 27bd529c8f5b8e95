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
	required: ['lines', 'referenceDepthIn', 'referenceEffectiveFraction'],
	properties: {
		lines: {
			type: 'array',
			minItems: 1,
			description: 'By rising target pH: short tons/ac = constant - perIndex x lime test index (10 x buffer pH)',
			items: {
				type: 'object',
				additionalProperties: false,
				required: ['target', 'constant', 'perIndex'],
				properties: {
					target: phValue,
					constant: { type: 'number' },
					perIndex: { type: 'number', exclusiveMinimum: 0 }
				}
			}
		},
		...referenceParameters,
		...gateParameters
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

const steps = { limeTestIndex: NaN, ...depthAndMaterial };

/**
 * Buffer line: short tons of lime per acre from the lime test index (10 x SMP or Sikora buffer pH), between two
 * published lines in proportion to the target, scaled by depth and by how much of the material acts. None unless
 * the soil is below the trigger, whatever the buffer says. Never below zero.
 * Source: tri-state extension bulletin E-2567 (Vitosh, Johnson and Mengel 1995), from memory.
 * NaN (does not apply) for a target outside the lines.
 */
export const bufferLine: RuleKind<Parameters, typeof steps> = {
	kind: 'buffer-line',
	parameters,
	steps,
	needs: () => ['soilPh', 'bufferPh', 'targetPh', 'limeDepthIn', 'effectiveFraction'],
	compute(p, numbers, s) {
		s.limeTestIndex = 10 * numbers.bufferPh;
		s.atReference = atReference(p, numbers.targetPh, s.limeTestIndex);
		const rate = toDepthAndMaterial(p, numbers, s);
		if (Number.isNaN(rate + numbers.soilPh)) return NaN;
		return callsForLime(p, numbers.soilPh, numbers.targetPh) ? rate : 0;
	},
	explain(p, figures, words, worked) {
		const { soilPh, bufferPh, targetPh } = figures;
		const source = sourceOf(words);
		const index = figure({
			label: 'lime test index',
			value: worked.limeTestIndex,
			unit: '',
			formula: '10 x buffer pH',
			inputs: [bufferPh],
			...source
		});
		if (Number.isNaN(worked.atReference)) {
			const first = p.lines[0]!.target.ph;
			const last = p.lines[p.lines.length - 1]!.target.ph;
			return notApplicable(
				words.title,
				`the guide's lines run from a target pH of ${first} to ${last}, and the target here is ${targetPh.value}`,
				`Set a target between ${first} and ${last}, or choose another lime method.`
			);
		}
		if (!callsForLime(p, soilPh.value, targetPh.value)) return noLime(p, soilPh, targetPh, words);
		const line = figure({
			label: 'reference lime, reference depth',
			value: worked.atReference,
			unit: words.unit,
			formula: lineText(p, targetPh.value),
			inputs: [soilPh, targetPh, index],
			...source
		});
		return depthAndMaterialSteps(p, worked, line, figures, words);
	}
};

/** Index of the line at or just below the target; -1 outside the lines. */
function lowerLine({ lines }: Parameters, targetPh: number): number {
	if (!(targetPh >= lines[0]!.target.ph && targetPh <= lines[lines.length - 1]!.target.ph)) return -1;
	let index = 0;
	while (index < lines.length - 1 && lines[index + 1]!.target.ph <= targetPh) index++;
	return index;
}

function atReference(p: Parameters, targetPh: number, limeTestIndex: number): number {
	const index = lowerLine(p, targetPh);
	if (index < 0) return NaN;
	const lower = p.lines[index]!;
	const upper = p.lines[Math.min(index + 1, p.lines.length - 1)]!;
	const low = lower.constant - lower.perIndex * limeTestIndex;
	if (upper === lower || targetPh === lower.target.ph) return Math.max(0, low);
	const high = upper.constant - upper.perIndex * limeTestIndex;
	const share = (targetPh - lower.target.ph) / (upper.target.ph - lower.target.ph);
	return Math.max(0, low + (high - low) * share);
}

function lineText(p: Parameters, targetPh: number): string {
	const index = lowerLine(p, targetPh);
	const lower = p.lines[index]!;
	const text = `${lower.constant} - ${lower.perIndex} x index`;
	const upper = p.lines[index + 1];
	if (!upper || targetPh === lower.target.ph) return `${text}, never below 0`;
	const upperText = `${upper.constant} - ${upper.perIndex} x index`;
	return `between ${text} (to pH ${lower.target.ph}) and ${upperText} (to pH ${upper.target.ph}), never below 0`;
}
