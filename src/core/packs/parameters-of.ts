import type { CropId } from '../schema-types';
import type { CompiledRule } from './pack';
import type { RuleKind } from './rule-kind';

/** A rule's coefficients for a crop, typed; undefined for a rule of another kind, or a crop the guide is silent on. */
export function parametersOf<P, S extends object>(
	{ kind }: RuleKind<P, S>,
	rule: CompiledRule | undefined,
	crop: CropId | undefined
): P | undefined {
	return rule?.kind.kind === kind ? (rule.parametersFor(crop) as P | undefined) : undefined;
}

/**
 * The same for a rule that is known to speak about the crop, as a reader of its inputs knows.
 * @throws RangeError where it does not
 */
export function knownParameters<P, S extends object>(kind: RuleKind<P, S>, rule: CompiledRule, crop: CropId): P {
	const parameters = parametersOf(kind, rule, crop);
	if (parameters === undefined) throw new RangeError(`${rule.method} is no ${kind.kind} for ${crop}`);
	return parameters;
}

/** Coefficients that several kinds name alike; a kind without one leaves it out. */
export function sharedParameters<T extends object>(
	rule: Pick<CompiledRule, 'parametersFor'> | undefined,
	crop: CropId | undefined
): Partial<T> {
	return (rule?.parametersFor(crop) ?? {}) as Partial<T>;
}
