import { InputError } from '../../../../core/check/problem';
import { NUTRIENTS } from '../../../../core/season/plan/pass/pass-nutrients';
import { TRIP_KINDS } from '../../../../core/season/plan/pass/trip-cost';
import type { Library } from '../../knowledge';

/**
 * Whether something of a price list is known: `grain:<crop>`, `product:<product>`, `nutrient:<nutrient>` and so on.
 * @throws InputError with what is known
 */
export function checkPriceItem(item: string, { crops, products, additives }: Library): void {
	const [kind = '', name = ''] = item.split(':');
	const known: Partial<Record<string, readonly string[]>> = {
		grain: crops.map(({ id }) => id),
		product: products.map(({ id }) => id),
		nutrient: NUTRIENTS,
		additive: additives.map(({ id }) => id),
		trip: TRIP_KINDS.map(({ id }) => id)
	};
	const names = known[kind] ?? [];
	if (!names.includes(name)) {
		throw new InputError([{ path: `/prices/${item}`, message: `is no ${kind}; known: ${names.join(', ')}` }]);
	}
}
