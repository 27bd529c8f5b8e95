import type { CompiledRule, CropRule } from '../packs/pack';
import { noNumbers, type RuleNumbers } from '../packs/rule-kind';
import { partsOf } from './rule-parts';
import { numberOf } from './site-inputs';
import type { SiteReading } from './site-reading';

/**
 * A rule's number on a site without its worksheet, in the rule's unit: what `applyRule` explains.
 * @param instead inputs at other values than the site's own
 * @returns NaN where it does not apply
 */
export function evaluate(compiled: CompiledRule, reading: SiteReading, instead: Partial<RuleNumbers> = {}): number {
	const parts = partsOf(compiled, reading);
	const rule = compiled.forCrop(reading.site.crop.id);
	if (!rule || !Array.isArray(parts)) return NaN;
	let sum = 0;
	let weights = 0;
	for (const part of parts) {
		const numbers = numbersAt(compiled, rule, part.reading, instead);
		if (!numbers) return NaN;
		sum += rule.evaluate(numbers) * part.weight;
		weights += part.weight;
	}
	return compiled.kind.byZone ? sum / weights : sum;
}

/** The inputs of a rule on one part of a site; undefined where one is not known. */
function numbersAt(
	compiled: CompiledRule,
	{ needs }: CropRule,
	reading: SiteReading,
	instead: Partial<RuleNumbers> = {}
): RuleNumbers | undefined {
	const numbers = noNumbers();
	for (const name of needs) {
		const value = instead[name] ?? numberOf(reading.input(name, compiled));
		if (Number.isNaN(value)) return undefined;
		numbers[name] = value;
	}
	return numbers;
}
