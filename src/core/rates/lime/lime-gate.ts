import type { FromSchema } from 'json-schema-to-ts';
import { figure, type Figure } from '../../figure/figure';
import { phValue } from '../../packs/ph-value';
import { sourceOf, type RuleWords } from '../../packs/rule-kind';
import { formatNumber } from '../../units/display';

/** The coefficients that say when a lime rule speaks at all. One of the two triggers has to be there. */
export const gateParameters = {
	trigger: { ...phValue, description: 'no lime unless soil pH is below this' },
	triggerBelowTarget: {
		type: 'number',
		minimum: 0,
		description: 'no lime unless soil pH is further below target than this'
	}
} as const;

export type Gate = FromSchema<{ readonly type: 'object'; readonly properties: typeof gateParameters }>;

/** Below target by this where a pack names no trigger of its own: common practice. */
const USUAL_BELOW_TARGET = 0.2;

/** pH is reported to a tenth; the sum 6.5 - 0.2 in binary must not move a reported 6.3 across the line. */
const PH_SLACK = 1e-9;

/** The pH below which lime is called for, whatever the buffer says. */
export function triggerPh({ trigger, triggerBelowTarget = USUAL_BELOW_TARGET }: Gate, targetPh: number): number {
	return trigger?.ph ?? targetPh - triggerBelowTarget;
}

/** Whether this soil is acid enough for lime to be called for. */
export function callsForLime(gate: Gate, soilPh: number, targetPh: number): boolean {
	return soilPh < triggerPh(gate, targetPh) - PH_SLACK;
}

/** The rate of none with its reason. */
export function noLime(gate: Gate, soilPh: Figure, targetPh: Figure, words: RuleWords): Figure {
	const trigger = formatNumber(triggerPh(gate, targetPh.value), 'pH');
	const from = gate.trigger
		? 'the guide’s own'
		: `target ${formatNumber(targetPh.value, 'pH')} less ${gate.triggerBelowTarget ?? USUAL_BELOW_TARGET}`;
	return figure({
		label: words.title,
		value: 0,
		unit: words.unit,
		formula: `soil pH ${formatNumber(soilPh.value, 'pH')} is not below the trigger of ${trigger} (${from}): no lime, whatever the buffer says`,
		inputs: [soilPh, targetPh],
		...sourceOf(words),
		cautions: words.cautions
	});
}
