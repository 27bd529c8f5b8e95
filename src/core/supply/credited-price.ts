import { keysOf } from '../check/typed-object';
import { figure, notApplicable, type Answer } from '../figure/figure';
import type { Nutrient, Product } from '../schema-types';
import { nutrientContent } from '../season/plan/pass/pass-nutrients';
import { LB_PER_SHORT_TON } from '../units/factors';

/**
 * Dollars per pound of one nutrient in a product, credited for all else it carries: (price of a ton - value of the other
 * nutrients) / pounds of the nutrient in a ton.
 * @param pricePerShortTon $ per short ton; undefined where it is not known
 * @param valueOf $ per lb of a nutrient; undefined where the list has none, which then counts for nothing and is named
 */
export function creditedPrice(
	product: Product,
	nutrient: Nutrient,
	pricePerShortTon: number | undefined,
	valueOf: (nutrient: Nutrient) => number | undefined
): Answer {
	const label = `${nutrient} from ${product.name}`;
	if (pricePerShortTon === undefined) {
		return notApplicable(label, `no price for ${product.name} is known`, 'Enter its price under Prices.');
	}
	const content = nutrientContent(product, nutrient);
	if (content.value === 0) return notApplicable(label, `it holds no ${nutrient}`, '');
	const others = keysOf<Nutrient>(product.analysis).filter((one) => one !== nutrient);
	const credits = others.flatMap((other) => {
		const value = valueOf(other);
		if (value === undefined) return [];
		const pounds = (LB_PER_SHORT_TON * (product.analysis[other] ?? 0)) / 100;
		return [
			figure({
				label: `${other} in a ton`,
				value: pounds * value,
				unit: '$ per short ton',
				formula: 'pounds x price of the nutrient',
				inputs: [
					nutrientContent(product, other),
					figure({ label: `price of ${other}`, value, unit: '$ per lb', basis: 'adviser' })
				],
				basis: 'adviser'
			})
		];
	});
	const unpriced = others.filter((other) => valueOf(other) === undefined);
	const credit = credits.reduce((sum, { value }) => sum + value, 0);
	return figure({
		label,
		value: (pricePerShortTon - credit) / ((LB_PER_SHORT_TON * content.value) / 100),
		unit: `$/lb ${nutrient}`,
		formula: '(price - other nutrients) / pounds in a ton',
		inputs: [
			figure({ label: `price of ${product.name}`, value: pricePerShortTon, unit: '$ per short ton', basis: 'adviser' }),
			...credits,
			content
		],
		basis: 'adviser',
		cautions: unpriced.length > 0 ? [`Without a price, ${unpriced.join(', ')} in it counts for nothing.`] : []
	});
}
