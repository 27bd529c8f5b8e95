import type { Figure } from '../figure/figure';
import { entriesOf } from '../check/typed-object';
import type { CropId, PackDocument, Rule } from '../schema-types';
import { lessCredits } from './less-credits';
import type { CompiledRule, CropRule } from './pack';
import { noNumbers, type AnyRuleKind, type InputName, type RuleFigures, type RuleNumbers } from './rule-kind';

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
	const own = kind.needs(parameters);
	const worked = {
		parameters,
		evaluate: (numbers: RuleNumbers) => kind.compute(parameters, numbers, steps),
		explain(figures: RuleFigures) {
			const rate = kind.compute(parameters, valuesOf(figures), steps);
			return kind.explain(parameters, figures, rule, { ...steps, rate });
		}
	};
	if (!takesCreditsOff(kind, rule, own)) return { ...worked, needs: own };
	return {
		parameters,
		needs: [...own, 'credits'],
		evaluate: (numbers) => Math.max(0, worked.evaluate(numbers) - numbers.credits),
		explain: (figures) => lessCredits(worked.explain(figures), figures.credits)
	};
}

/**
 * Nitrogen for a season that knows no credits of its own: they come off whatever the formula gives. A test in the crop has found
 * them already.
 */
function takesCreditsOff(kind: AnyRuleKind, { gives }: Rule, needs: readonly InputName[]): boolean {
	return gives === 'N' && kind.covers === undefined && !needs.includes('credits');
}

function valuesOf(figures: RuleFigures) {
	const numbers = noNumbers();
	for (const [name, figure] of entriesOf<InputName, Figure>(figures)) numbers[name] = figure.value;
	return numbers;
}
