import { figure, type Answer } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import { applyRule } from '../../reading/apply-rule';
import { evaluate } from '../../reading/evaluate';
import type { SiteReading } from '../../reading/site-reading';

/** Kinds whose rate holds a build-up, or an extra that is owed once a year whatever is harvested. */
const BUILDS: ReadonlySet<string> = new Set(['build-and-maintain', 'build-to-range']);

/**
 * Build-up and extra of a rate, lb/ac: what is owed once a year whatever is harvested. 0 for a rate without either.
 * @param soilTest ppm, where it is another than the site's
 */
export function yearlyPart(compiled: CompiledRule, reading: SiteReading, soilTest?: number): number {
	if (!BUILDS.has(compiled.kind.kind)) return 0;
	return evaluate(compiled, reading, { yieldGoal: 0, ...(soilTest === undefined ? {} : { soilTest }) });
}

/**
 * P2O5 or K2O of a second crop of the same year, lb/ac: what it takes off. Build-up and yearly extras are in the first crop's rate.
 * @param after the ground as the second crop finds it
 */
export function secondOfYear(compiled: CompiledRule, after: SiteReading): Answer {
	const answer = applyRule(compiled, after);
	if (!answer.applies) return answer;
	const yearly = yearlyPart(compiled, after);
	if (!(yearly > 0)) return answer;
	const { basis, citation } = compiled.rule;
	const once = figure({
		label: 'build-up and extra of the year',
		value: yearly,
		unit: answer.unit,
		formula: 'the rate at a yield of 0',
		basis,
		citation
	});
	return {
		...figure({
			label: answer.label,
			value: Math.max(0, answer.value - yearly),
			unit: answer.unit,
			formula: 'rate - build-up and extra, which the first crop was given',
			inputs: [answer, once],
			basis,
			citation
		}),
		cautions: answer.cautions
	};
}
