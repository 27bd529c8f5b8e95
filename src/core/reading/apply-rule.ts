import { notApplicable, type Answer } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import type { RuleFigures } from '../packs/rule-kind';
import type { Site } from './site';
import type { InputReaders } from './site-inputs';
import { whatWouldChange } from './what-would-change';

/**
 * A rule's answer for a site, with its worksheet.
 * @returns does not apply where the guide is silent on the crop or an input is missing, saying which and what to do
 */
export function applyRule(compiled: CompiledRule, site: Site, readers: Partial<InputReaders>): Answer {
	const { rule, pack, kind } = compiled;
	const parameters = compiled.parametersFor(site.crop.id);
	if (parameters === undefined) {
		return notApplicable(
			rule.title,
			`this guide says nothing about ${site.crop.name.toLowerCase()}`,
			`Choose another guide, or add ${site.crop.name.toLowerCase()} to a copy of ${pack.title}.`
		);
	}
	const figures: Partial<RuleFigures> = {};
	for (const name of kind.needs(parameters)) {
		const reader = readers[name];
		const input = reader
			? reader(site, compiled)
			: notApplicable(name, `${name} is not known here`, 'Correct the pack.');
		if (!input.applies) return notApplicable(rule.title, input.reason, input.remedy);
		figures[name] = input;
	}
	const organicMatter = readers.organicMatter?.(site, compiled);
	if (organicMatter?.applies) figures.organicMatter = organicMatter;
	const answer = kind.explain(parameters, figures as RuleFigures, rule);
	return answer.applies ? { ...answer, wouldChange: whatWouldChange(compiled, site.crop.id, figures) } : answer;
}
