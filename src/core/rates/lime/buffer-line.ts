import type { FromSchema } from 'json-schema-to-ts';
import { figure, notApplicable, type Figure } from '../../figure/figure';
import type { RuleKind, RuleWords } from '../../packs/rule-kind';
import { formatNumber } from '../../units/display';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['lines', 'referenceDepthIn', 'referenceEffectiveFraction', 'triggerBelowTarget'],
	properties: {
		lines: {
			type: 'array',
			minItems: 1,
			description: 'By rising target pH: short tons/ac = constant - perIndex x lime test index (10 x buffer pH)',
			items: {
				type: 'object',
				additionalProperties: false,
				required: ['targetPh', 'constant', 'perIndex'],
				properties: {
					targetPh: { type: 'number', minimum: 4, maximum: 8 },
					constant: { type: 'number' },
					perIndex: { type: 'number', exclusiveMinimum: 0 }
				}
			}
		},
		referenceDepthIn: { type: 'number', exclusiveMinimum: 0 },
		referenceEffectiveFraction: { type: 'number', exclusiveMinimum: 0, maximum: 2 },
		triggerBelowTarget: {
			type: 'number',
			minimum: 0,
			description: 'no lime unless pH is further below target than this'
		}
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** pH is reported to a tenth; the sum 6.5 - 0.2 in binary must not move a reported 6.3 across the line. */
const PH_SLACK = 1e-9;

/**
 * Buffer line: short tons of lime per acre from the lime test index (10 x SMP or Sikora buffer pH), between two
 * published lines in proportion to the target, scaled by depth and by how much of the material acts. None unless
 * the soil is below the trigger, whatever the buffer says. Never below zero.
 * Source: tri-state extension bulletin E-2567 (Vitosh, Johnson and Mengel 1995), from memory.
 * NaN (does not apply) for a target outside the lines.
 */
export const bufferLine: RuleKind<Parameters> = {
	kind: 'buffer-line',
	parameters,
	needs: () => ['soilPh', 'bufferPh', 'targetPh', 'limeDepthIn', 'effectiveFraction'],
	compute(p, { soilPh, bufferPh, targetPh, limeDepthIn, effectiveFraction }) {
		const reference = atReference(p, targetPh, 10 * bufferPh);
		if (Number.isNaN(reference + soilPh + limeDepthIn + effectiveFraction)) return NaN;
		if (soilPh >= targetPh - p.triggerBelowTarget - PH_SLACK) return 0;
		const scaled = reference * (limeDepthIn / p.referenceDepthIn);
		return scaled * (p.referenceEffectiveFraction / effectiveFraction);
	},
	explain(p, { soilPh, bufferPh, targetPh, limeDepthIn, effectiveFraction }, words) {
		const index = source(words, 'lime test index', 10 * bufferPh.value, '', '10 x buffer pH', [bufferPh]);
		const reference = atReference(p, targetPh.value, index.value);
		if (Number.isNaN(reference)) {
			const first = p.lines[0]!.targetPh;
			const last = p.lines[p.lines.length - 1]!.targetPh;
			return notApplicable(
				words.title,
				`the guide's lines run from a target pH of ${first} to ${last}, and the target here is ${targetPh.value}`,
				`Set a target between ${first} and ${last}, or choose another lime method.`
			);
		}
		const trigger = targetPh.value - p.triggerBelowTarget;
		if (soilPh.value >= trigger - PH_SLACK) {
			const why = `soil pH ${formatNumber(soilPh.value, 'pH')} is not below the trigger of ${formatNumber(trigger, 'pH')} (target ${formatNumber(targetPh.value, 'pH')} less ${p.triggerBelowTarget}): no lime, whatever the buffer says`;
			return source(words, words.title, 0, words.unit, why, [soilPh, targetPh], words.cautions);
		}
		const line = source(words, 'reference lime, reference depth', reference, words.unit, lineText(p, targetPh.value), [
			soilPh,
			targetPh,
			index
		]);
		const depth = source(
			words,
			'for the depth limed',
			reference * (limeDepthIn.value / p.referenceDepthIn),
			words.unit,
			`x depth / ${p.referenceDepthIn} in`,
			[line, limeDepthIn]
		);
		const referenceFraction = source(
			words,
			'effective fraction of the reference lime',
			p.referenceEffectiveFraction,
			'',
			'',
			[]
		);
		const value = depth.value * (p.referenceEffectiveFraction / effectiveFraction.value);
		const formula = 'x effective fraction of the reference lime / of this lime';
		return source(
			words,
			words.title,
			value,
			words.unit,
			formula,
			[depth, referenceFraction, effectiveFraction],
			words.cautions
		);
	}
};

function source(
	words: RuleWords,
	label: string,
	value: number,
	unit: string,
	formula: string,
	inputs: Figure[],
	cautions: string[] = []
): Figure {
	return figure({ label, value, unit, formula, inputs, cautions, basis: words.basis, citation: words.citation });
}

/** Index of the line at or just below the target; -1 outside the lines. */
function lowerLine({ lines }: Parameters, targetPh: number): number {
	if (!(targetPh >= lines[0]!.targetPh && targetPh <= lines[lines.length - 1]!.targetPh)) return -1;
	let index = 0;
	while (index < lines.length - 1 && lines[index + 1]!.targetPh <= targetPh) index++;
	return index;
}

function atReference(p: Parameters, targetPh: number, limeTestIndex: number): number {
	const index = lowerLine(p, targetPh);
	if (index < 0) return NaN;
	const lower = p.lines[index]!;
	const upper = p.lines[Math.min(index + 1, p.lines.length - 1)]!;
	const low = lower.constant - lower.perIndex * limeTestIndex;
	if (upper === lower || targetPh === lower.targetPh) return Math.max(0, low);
	const high = upper.constant - upper.perIndex * limeTestIndex;
	const share = (targetPh - lower.targetPh) / (upper.targetPh - lower.targetPh);
	return Math.max(0, low + (high - low) * share);
}

function lineText(p: Parameters, targetPh: number): string {
	const index = lowerLine(p, targetPh);
	const lower = p.lines[index]!;
	const text = `${lower.constant} - ${lower.perIndex} x index`;
	const upper = p.lines[index + 1];
	if (!upper || targetPh === lower.targetPh) return `${text}, never below 0`;
	const upperText = `${upper.constant} - ${upper.perIndex} x index`;
	return `between ${text} (to pH ${lower.targetPh}) and ${upperText} (to pH ${upper.targetPh}), never below 0`;
}
