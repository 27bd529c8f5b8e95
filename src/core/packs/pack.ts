import type { CropId, Gives, PackDocument, Rule } from '../schema-types';
import type { RuleKind } from './rule-kind';

/** A rule ready to run: its kind found, its coefficients checked and laid out by crop. */
export interface CompiledRule {
	/** `pack/rule`, the name under which a choice is kept. */
	readonly method: string;
	readonly pack: PackDocument;
	readonly rule: Rule;
	readonly kind: RuleKind<unknown>;
	/** Coefficients for a crop; undefined where the guide says nothing about it. */
	parametersFor(crop: CropId | undefined): unknown;
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
