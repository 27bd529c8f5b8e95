import { SiteReading } from '../reading/site-reading';
import type { AdviseRequest } from '../schema-types';
import { rulesFor, siteOf, type Knowledge } from './advise';
import { chosenRate, type Choice } from './choose';
import { inputReaders } from './input-readers';
import { nitrogenParts } from './nitrogen/nitrogen-parts';
import { rateOf } from './rate';

/**
 * The nitrogen of the season that a choice stands for, lb/ac: what other rates and the balance rest on.
 * @param request checked, in US units
 * @returns undefined where the chosen method gives no rate here
 */
export function settledNitrogen(
	choice: Choice,
	request: AdviseRequest,
	knowledge: Knowledge,
	today: string
): number | undefined {
	if (choice.ownRate !== undefined) return choice.ownRate;
	const compiled = rulesFor(request, knowledge.packs).find(({ method }) => method === choice.method);
	if (!compiled) return undefined;
	const reading = new SiteReading(siteOf(request, knowledge, today), inputReaders);
	const rate = rateOf(compiled, 'N', reading, request.prices ?? {}, request.units);
	return chosenRate(choice, [{ ...rate, ...nitrogenParts(compiled, reading, request.units) }])?.rate.value;
}
