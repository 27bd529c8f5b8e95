import type { SecondNitrogen } from '$core/schema-types';
import { SecondNitrogenBounds } from '$core/schema-types/bounds';
import type { UnitSystem } from '$core/units/rate-units';
import type { RatesPage } from '$lib/server/pages/rates-page';
import { keptNumber } from '../../forms/typed-amount';

/** In the list of methods: none of them, the adviser's own. */
export const OWN_RATE = 'own rate';

/** Of the list, what was settled on; none where its method gives no rate any more. */
export function methodOf({ planted, lapsed }: Pick<RatesPage['second'], 'planted' | 'lapsed'>): string {
	const settled = planted?.nitrogen;
	if (settled === undefined || lapsed) return '';
	return settled.method ?? OWN_RATE;
}

/**
 * The nitrogen of a second crop as it was typed.
 * @param before what was kept, by which a number that nobody changed stays as it was
 * @returns undefined where none is chosen; a sentence where something lacks
 */
export function secondNitrogen(
	{ method, ownRate, reason }: { method: string; ownRate: string; reason: string },
	before: SecondNitrogen | undefined,
	units: UnitSystem
): SecondNitrogen | string | undefined {
	if (method === '') return undefined;
	if (method !== OWN_RATE) return { method };
	const facts = SecondNitrogenBounds.ownRate;
	const pounds = keptNumber(ownRate, before?.ownRate, facts, facts.unit, units);
	if (typeof pounds === 'string') return pounds;
	if (pounds === undefined) return 'The own rate is not filled in.';
	if (reason.trim().length < 3) return 'Say why: the reason stands on the sheet.';
	return { ownRate: pounds, reason: reason.trim() };
}
