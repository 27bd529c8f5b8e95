import { yieldUnitOf, type UnitSystem } from '../units/rate-units';
import { amountText, harvestText, quantityIn } from '../units/amount-text';
import { entriesOf } from '../check/typed-object';
import type { Figure } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import { noNumbers, type InputName } from '../packs/rule-kind';
import type { Site } from './site';

/** A step that a lab, a season or an adviser may well be off by, and how it is said. */
const STEPS: Partial<Record<InputName, (input: Figure, site: Site) => { by: number; words: string }>> = {
	soilTest: () => ({ by: 1, words: '1 ppm more on the test' }),
	cec: () => ({ by: 1, words: 'CEC higher by 1' }),
	yieldGoal: ({ unit }, { crop, units }) => {
		const by = { 'bu/ac': 10, 'lb/ac': 100 }[unit] ?? 1;
		return { by, words: `${harvestText(units, by, yieldUnitOf(crop))} more of goal` };
	},
	soilPh: () => ({ by: 0.1, words: 'soil pH higher by 0.1' }),
	bufferPh: () => ({ by: 0.1, words: 'buffer pH higher by 0.1' }),
	targetPh: () => ({ by: 0.1, words: 'a target higher by 0.1' }),
	limeDepthIn: (_, { units }) => ({ by: 1, words: `limed ${quantityIn(units, 1, 'in')} deeper` }),
	credits: (_, { units }) => ({ by: 10, words: `${amountText(units)(10, 'whole')} more of credits` })
};

/** What one step in each of a rule's inputs would do to its answer, a sentence each. */
export function whatWouldChange(
	compiled: CompiledRule,
	site: Site,
	figures: Partial<Record<InputName, Figure>>
): string[] {
	const numbers = noNumbers();
	for (const [name, input] of entriesOf(figures)) numbers[name] = input.value;
	const rule = compiled.forCrop(site.crop.id)!;
	const now = rule.evaluate(numbers);
	return Object.entries(figures).flatMap(([key, input]) => {
		const name = key as InputName;
		const step = STEPS[name]?.(input, site);
		if (!step) return [];
		const then = rule.evaluate({ ...numbers, [name]: input.value + step.by });
		if (!Number.isFinite(then)) return [];
		const words = step.words.charAt(0).toUpperCase() + step.words.slice(1);
		return [`${words}: ${changeText(then - now, compiled.rule.unit, site.units)}.`];
	});
}

function changeText(change: number, unit: string, units: UnitSystem): string {
	if (Math.abs(change) < 1e-9) return 'no change';
	return `${quantityIn(units, Math.abs(change), unit)} ${change > 0 ? 'more' : 'less'}`;
}
