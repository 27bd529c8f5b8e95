import { isOneOf, keysOf } from '../check/typed-object';
import { InputError, type Problem } from '../check/problem';
import { compileSchema, validator } from '../check/validator';
import { compileRule } from './compile-rule';
import type { CropId, Example, PackDocument, Rule } from '../schema-types';
import type { CompiledRule, PackSet } from './pack';
import { phScaleProblems } from './ph-scale-problems';
import { INPUT_NAMES, noNumbers, type AnyRuleKind } from './rule-kind';

/** Pounds that are no rate of anything. */
const NO_RATES: readonly Rule['gives'][] = ['holding-limit', 'nitrogen-removal'];

/** What each rule is in; nutrients are in lb/ac. */
const UNIT_OF: Partial<Record<Rule['gives'], Rule['unit']>> = {
	lime: 'short ton/ac',
	'relative-yield': '%',
	'response-curve': '%'
};

const asPack = validator<PackDocument>('pack');

/**
 * Packs from their documents: shape checked, kinds found, coefficients checked, worked examples worked.
 * @throws InputError with a path into the pack for everything that does not fit or does not come out
 */
export function compilePacks(documents: readonly unknown[], kinds: readonly AnyRuleKind[]): PackSet {
	const packs = documents.map(asPack);
	const ids = new Set<string>();
	const rules: CompiledRule[] = [];
	for (const pack of packs) {
		if (ids.has(pack.id)) throw new InputError([{ path: '/id', message: `two packs are named "${pack.id}"` }]);
		ids.add(pack.id);
		const inspected = inspectPack(pack, kinds);
		if (inspected.problems.length > 0) throw new InputError(inspected.problems);
		rules.push(...inspected.rules);
	}
	return { packs, rules };
}

/** The rules of a pack that can be worked with, and everything that keeps it from being taken. */
export interface InspectedPack {
	rules: CompiledRule[];
	problems: Problem[];
}

/**
 * Looks a pack over without refusing it, as an editor needs it.
 * @throws InputError for a document that has not the shape of a pack at all
 */
export function inspectPack(document: unknown, kinds: readonly AnyRuleKind[]): InspectedPack {
	const pack = asPack(document);
	const problems = [...bridgeProblems(pack)];
	const names = new Set<string>();
	const rules = pack.rules.flatMap((rule, index) => {
		const path = `/rules/${index}`;
		if (names.has(rule.id)) problems.push({ path: `${path}/id`, message: `"${rule.id}" stands twice in ${pack.id}` });
		names.add(rule.id);
		const kind = kinds.find((candidate) => candidate.kind === rule.kind);
		if (!kind) {
			const known = kinds.map((candidate) => candidate.kind).join(', ');
			problems.push({ path: `${path}/kind`, message: `"${rule.kind}" is no rule kind; known kinds: ${known}` });
			return [];
		}
		problems.push(...headProblems(rule, path));
		const compiled = compileRule(pack, rule, kind);
		const wrong = [...coefficientProblems(compiled, path)];
		if (wrong.length === 0) wrong.push(...phScaleProblems(compiled, path));
		problems.push(...wrong, ...(wrong.length === 0 ? exampleProblems(compiled, path) : []));
		return wrong.length === 0 ? [compiled] : [];
	});
	return { rules, problems };
}

function* headProblems(rule: Rule, path: string): Generator<Problem> {
	if (needsCitation(rule)) {
		yield { path: `${path}/citation`, message: `basis "${rule.basis}" needs the publication's name` };
	}
	const unit = UNIT_OF[rule.gives] ?? 'lb/ac';
	if (rule.unit !== unit) {
		yield { path: `${path}/unit`, message: `must be "${unit}" for ${rule.gives}; got "${rule.unit}"` };
	}
	if (rule.unit !== '%' && !NO_RATES.includes(rule.gives) && rule.school === undefined) {
		yield { path: `${path}/school`, message: 'is missing: a rate belongs to an approach' };
	}
}

function* bridgeProblems({ bridges = [] }: PackDocument): Generator<Problem> {
	for (const [index, bridge] of bridges.entries()) {
		if (!needsCitation(bridge)) continue;
		yield { path: `/bridges/${index}/citation`, message: `basis "${bridge.basis}" needs the publication's name` };
	}
}

function needsCitation(rule: Pick<Rule, 'basis' | 'citation'>): boolean {
	return (rule.basis === 'published' || rule.basis === 'memory') && rule.citation === undefined;
}

function* coefficientProblems(compiled: CompiledRule, path: string): Generator<Problem> {
	const check = compileSchema(compiled.kind.parameters);
	const crops = compiled.rule.crops ? keysOf<CropId>(compiled.rule.crops) : [undefined];
	for (const crop of crops) {
		const at = crop ? `${path}/crops/${crop}` : `${path}/parameters`;
		for (const problem of check(compiled.parametersFor(crop))) yield { ...problem, path: at + problem.path };
	}
}

/** What a worked example comes out as; undefined where the rule has no coefficients for its crop. */
export function workedOut(compiled: CompiledRule, example: Example): number | undefined {
	return compiled.forCrop(example.crop)?.evaluate(numbersOf(example));
}

function* exampleProblems(compiled: CompiledRule, path: string): Generator<Problem> {
	for (const [index, example] of compiled.rule.examples.entries()) {
		const at = `${path}/examples/${index}`;
		const unknown = Object.keys(example.inputs).find((name) => !isOneOf(INPUT_NAMES, name));
		if (unknown !== undefined) {
			yield { path: `${at}/inputs/${unknown}`, message: `is no input; known: ${INPUT_NAMES.join(', ')}` };
			continue;
		}
		const value = workedOut(compiled, example);
		if (value === undefined) {
			yield { path: `${at}/crop`, message: `the rule has no coefficients for ${example.crop ?? 'no crop'}` };
			continue;
		}
		if (!(Math.abs(value - example.gives) <= example.tolerance)) {
			yield { path: `${at}/gives`, message: exampleMessage(example, value) };
		}
	}
}

/** What a worked example leaves unsaid: no credits, no straw taken off. */
const UNSAID = { credits: 0, residueShare: 0 };

function numbersOf(example: Example) {
	return Object.assign(noNumbers(), UNSAID, example.inputs);
}

function exampleMessage(example: Example, value: number): string {
	const inputs = Object.entries(example.inputs)
		.map(([name, number]) => `${name} ${number}`)
		.join(', ');
	return `the worked example (${inputs}) should give ${example.gives} but gives ${value}; source: ${example.source}`;
}
