import { sharedParameters } from '../../packs/parameters-of';
import { figure, notApplicable, type Answer } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import { applyRule } from '../../reading/apply-rule';
import { secondOfYear } from './second-of-year';
import type { SiteReading } from '../../reading/site-reading';

/**
 * P2O5 or K2O for this crop and the one after it in one pass: the two rates from this year's soil test, added; a guide's
 * yearly limit holds for the application. Source of the sum: common practice.
 * @param after the ground as the other crop finds it
 * @param sameYear whether that is a second crop of this year
 * @returns does not apply where the guide gives no rate for one of the two
 */
export function bothYears(compiled: CompiledRule, reading: SiteReading, after: SiteReading, sameYear: boolean): Answer {
	const { site } = reading;
	const first = applyRule(compiled, reading);
	const label = `${compiled.rule.title}, both crops in one pass`;
	if (!first.applies) return notApplicable(label, first.reason, first.remedy);
	const other = after.site.crop.name.toLowerCase();
	const second = sameYear ? secondOfYear(compiled, after) : applyRule(compiled, after);
	if (!second.applies) return notApplicable(label, `for ${other}: ${second.reason}`, second.remedy);
	const { maximum = Infinity } = sharedParameters<{ maximum: number }>(compiled, site.crop.id);
	const sum = first.value + second.value;
	const capped = sum > maximum;
	const when = sameYear ? 'as second crop' : 'the year after (carried over)';
	const later = { ...second, label: `for ${other} ${when}` };
	return figure({
		label,
		value: capped ? maximum : sum,
		unit: first.unit,
		formula: `${sameYear ? 'first crop + second crop' : 'this year + the year after'}${capped ? `, at most ${maximum} in one application` : ''}`,
		inputs: [{ ...first, label: `for ${site.crop.name.toLowerCase()} this year` }, later],
		basis: 'practice',
		cautions: [
			...(capped
				? [
						`The guide's limit of ${maximum} lb holds for one application: ${Math.round(sum - maximum)} lb are left for later.`
					]
				: []),
			...(sameYear ? [] : ['Take the second year off the plan when that year comes: it is already in the ground.'])
		]
	});
}
