import type { Figure } from '../figure/figure';
import { entriesOf } from '../check/typed-object';
import type { CropId, PackDocument, Rule } from '../schema-types';
import type { CompiledRule, CropRule } from './pack';
import { noNumbers, type AnyRuleKind, type InputName, type RuleFigures } from './rule-kind';

/** A rule with its kind, its coefficients laid out by crop. Whether they fit the kind is the caller's to check. */
export function compileRule(pack: PackDocument, rule: Rule, kind: AnyRuleKind): CompiledRule {
	const byCrop = rule.crops;
	const merged = new Map(Object.entries(byCrop ?? {}).map(([crop, own]) => [crop, { ...rule.parameters, ...own }]));
	const head = { method: `${pack.id}/${rule.id}`, pack, rule, kind };
	return withParameters(head, (crop) => (byCrop ? (crop && merged.get(crop)) || undefined : rule.parameters));
}

/** A rule with other coefficients. */
export function withParameters(
	{ method, pack, rule, kind }: Omit<CompiledRule, 'parametersFor' | 'forCrop'>,
	parametersFor: CompiledRule['parametersFor']
): CompiledRule {
	const known = new Map<CropId | undefined, CropRule | undefined>();
	return {
		method,
		pack,
		rule,
		kind,
		parametersFor,
		forCrop(crop) {
			if (!known.has(crop)) known.set(crop, cropRule(kind, rule, parametersFor(crop)));
			return known.get(crop);
		}
	};
}

function cropRule(kind: AnyRuleKind, rule: Rule, parameters: unknown): CropRule | undefined {
	if (parameters === undefined) return undefined;
	const steps = { ...kind.steps };
	return {
		parameters,
		needs: kind.needs(parameters),
		evaluate: (numbers) => kind.compute(parameters, numbers, steps),
		explain(figures) {
			const rate = kind.compute(parameters, valuesOf(figures), steps);
			return kind.explain(parameters, figures, rule, { ...steps, rate });
		}
	};
}

function valuesOf(figures: RuleFigures) {
	const numbers = noNumbers();
	for (const [name, figure] of entriesOf<InputName, Figure>(figures)) numbers[name] = figure.value;
	return numbers;
}
