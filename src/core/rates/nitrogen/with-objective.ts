import { economicResponse } from './response/economic-response';
import { parametersOf } from '../../packs/parameters-of';
import { withParameters } from '../../packs/compile-rule';
import type { CompiledRule } from '../../packs/pack';
import type { NitrogenTerms } from '../../schema-types';

/** A rule by a response curve at the objective and tolerance that the adviser set; every other rule as it is. */
export function withObjective(compiled: CompiledRule, { objective, toleranceDollars }: NitrogenTerms): CompiledRule {
	if (compiled.kind.kind !== economicResponse.kind) return compiled;
	if (objective === undefined && toleranceDollars === undefined) return compiled;
	const wanted = { ...(objective && { objective }), ...(toleranceDollars !== undefined && { toleranceDollars }) };
	return withParameters(compiled, (crop) => {
		const own = parametersOf(economicResponse, compiled, crop);
		return own && { ...own, ...wanted };
	});
}
