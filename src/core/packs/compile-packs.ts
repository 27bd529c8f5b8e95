import { InputError, type Problem } from '../check/problem';
import { compileSchema, validator } from '../check/validator';
import type { CropId, Example, PackDocument, Rule } from '../schema-types';
import type { CompiledRule, PackSet } from './pack';
import { noNumbers, type RuleKind } from './rule-kind';

const asPack = validator<PackDocument>('pack');

/**
 * Packs from their documents: shape checked, kinds found, coefficients checked, worked examples worked.
 * @throws InputError with a path into the pack for everything that does not fit or does not come out
 */
export function compilePacks(documents: readonly unknown[], kinds: readonly RuleKind<never>[]): PackSet {
	const packs = documents.map(asPack);
	const ids = new Set<string>();
	const rules: CompiledRule[] = [];
	for (const pack of packs) {
		if (ids.has(pack.id)) throw new InputError([{ path: '/id', message: `two packs are named "${pack.id}"` }]);
		ids.add(pack.id);
		rules.push(...compilePack(pack, kinds));
	}
	return { packs, rules };
}

function compilePack(pack: PackDocument, kinds: readonly RuleKind<never>[]): CompiledRule[] {
	const problems: Problem[] = [];
	const names = new Set<string>();
	const rules = pack.rules.flatMap((rule, index) => {
		const path = `/rules/${index}`;
		if (names.has(rule.id)) problems.push({ path: `${path}/id`, message: `"${rule.id}" stands twice in ${pack.id}` });
		names.add(rule.id);
		const kind = kinds.find((candidate) => candidate.kind === rule.kind) as RuleKind<unknown> | undefined;
		if (!kind) {
			const known = kinds.map((candidate) => candidate.kind).join(', ');
			problems.push({ path: `${path}/kind`, message: `"${rule.kind}" is no rule kind; known kinds: ${known}` });
			return [];
		}
		if (needsCitation(rule)) {
			problems.push({ path: `${path}/citation`, message: `basis "${rule.basis}" needs the publication's name` });
		}
		if (rule.unit !== '%' && rule.gives !== 'holding-limit' && rule.school === undefined) {
			problems.push({ path: `${path}/school`, message: 'is missing: a rate belongs to a school' });
		}
		const compiled = compileRule(pack, rule, kind);
		const wrong = [...coefficientProblems(compiled, path)];
		problems.push(...wrong, ...(wrong.length === 0 ? exampleProblems(compiled, path) : []));
		return [compiled];
	});
	if (problems.length > 0) throw new InputError(problems);
	return rules;
}

function needsCitation(rule: Rule): boolean {
	return (rule.basis === 'published' || rule.basis === 'memory') && rule.citation === undefined;
}

function compileRule(pack: PackDocument, rule: Rule, kind: RuleKind<unknown>): CompiledRule {
	const byCrop = rule.crops as Partial<Record<CropId, object>> | undefined;
	const merged = new Map(Object.entries(byCrop ?? {}).map(([crop, own]) => [crop, { ...rule.parameters, ...own }]));
	return {
		method: `${pack.id}/${rule.id}`,
		pack,
		rule,
		kind,
		parametersFor: (crop) => (byCrop ? (crop && merged.get(crop)) || undefined : rule.parameters)
	};
}

function* coefficientProblems(compiled: CompiledRule, path: string): Generator<Problem> {
	const check = compileSchema(compiled.kind.parameters);
	const crops = compiled.rule.crops ? (Object.keys(compiled.rule.crops) as CropId[]) : [undefined];
	for (const crop of crops) {
		const at = crop ? `${path}/crops/${crop}` : `${path}/parameters`;
		for (const problem of check(compiled.parametersFor(crop))) yield { ...problem, path: at + problem.path };
	}
}

function* exampleProblems(compiled: CompiledRule, path: string): Generator<Problem> {
	for (const [index, example] of compiled.rule.examples.entries()) {
		const at = `${path}/examples/${index}`;
		const parameters = compiled.parametersFor(example.crop);
		if (parameters === undefined) {
			yield { path: `${at}/crop`, message: `the rule has no coefficients for ${example.crop ?? 'no crop'}` };
			continue;
		}
		const value = compiled.kind.compute(parameters, numbersOf(example));
		if (!(Math.abs(value - example.gives) <= example.tolerance)) {
			yield { path: `${at}/gives`, message: exampleMessage(example, value) };
		}
	}
}

function numbersOf(example: Example) {
	return Object.assign(noNumbers(), { credits: 0 }, example.inputs);
}

function exampleMessage(example: Example, value: number): string {
	const inputs = Object.entries(example.inputs)
		.map(([name, number]) => `${name} ${number}`)
		.join(', ');
	return `the worked example (${inputs}) should give ${example.gives} but gives ${value}; source: ${example.source}`;
}
