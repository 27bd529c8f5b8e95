import { InputError } from '../../../../core/check/problem';
import { isOneOf, keysOf } from '../../../../core/check/typed-object';
import { NUTRIENTS } from '../../../../core/season/plan/pass/pass-nutrients';
import { TRIP_KINDS } from '../../../../core/season/plan/pass/trip-cost';
import type { Library } from '../../knowledge';

/** What is wrong with an item of a price list: `grain:<crop>`, `product:<product>`, `nutrient:<nutrient>` and so on. */
export function priceItemFault(item: string, { crops, products, additives }: Library): string | undefined {
	const [kind = '', name = ''] = item.split(':');
	const known = {
		grain: crops.map(({ id }) => id),
		product: products.map(({ id }) => id),
		nutrient: NUTRIENTS,
		additive: additives.map(({ id }) => id),
		trip: TRIP_KINDS.map(({ id }) => id)
	};
	if (!isOneOf(keysOf(known), kind)) {
		return `must begin with what it is: ${keysOf(known)
			.map((one) => `${one}:`)
			.join(', ')} as in product:urea`;
	}
	const names: readonly string[] = known[kind];
	return names.includes(name) ? undefined : `is no ${kind}; known: ${names.join(', ')}`;
}

/**
 * The same for a body.
 * @throws InputError with what is known
 */
export function checkPriceItem(item: string, library: Library): void {
	const message = priceItemFault(item, library);
	if (message !== undefined) throw new InputError([{ path: `/prices/${item}`, message }]);
}
