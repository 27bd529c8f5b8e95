import type { Answer } from '../figure/figure';
import type { CropId, Gives, PackDocument, Rule } from '../schema-types';
import type { AnyRuleKind, InputName, RuleFigures, RuleNumbers } from './rule-kind';

/** A rule ready to run: its kind found, its coefficients checked and laid out by crop. */
export interface CompiledRule {
	/** `pack/rule`, the name under which a choice is kept. */
	readonly method: string;
	readonly pack: PackDocument;
	readonly rule: Rule;
	readonly kind: AnyRuleKind;
	/** Coefficients for a crop; undefined where the guide says nothing about it. */
	parametersFor(crop: CropId | undefined): unknown;
	/** The rule as it holds for a crop; undefined where the guide says nothing about it. */
	readonly forCrop: (crop: CropId | undefined) => CropRule | undefined;
}

/** A rule with its coefficients for one crop: the one way to a number, whoever asks. */
export interface CropRule {
	readonly parameters: unknown;
	/** The inputs that it cannot do without. */
	readonly needs: readonly InputName[];
	/** Its number, in the rule's unit; NaN where an input is missing. */
	readonly evaluate: (numbers: RuleNumbers) => number;
	/** The same number with its worksheet, from all the inputs that it needs. */
	readonly explain: (figures: RuleFigures) => Answer;
}

/** Every rule of every pack in use. */
export interface PackSet {
	readonly packs: readonly PackDocument[];
	readonly rules: readonly CompiledRule[];
}

/** The rules that give a quantity, in pack order. */
export function rulesGiving(set: PackSet, gives: Gives): CompiledRule[] {
	return set.rules.filter(({ rule }) => rule.gives === gives);
}
