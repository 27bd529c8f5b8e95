import { figure, notApplicable, type Answer, type Figure } from '../../../figure/figure';
import type { Additive, Pass, Product } from '../../../schema-types';
import { LB_PER_SHORT_TON } from '../../../units/factors';
import { passPounds, passRate } from './pass-figures';
import { overTheField } from './pass-nutrients';

/** The price in force of `product:<id>` ($ per short ton) or `additive:<name>` ($ per treated acre); undefined where there is none. */
export type PriceOf = (item: string) => number | undefined;

/** Dollars per acre of product in a pass, with its additive; does not apply while a price is missing. */
export function passCost(pass: Pass, product: Product, priceOf: PriceOf): Answer {
	const label = `cost of ${pass.label}`;
	const perShortTon = priceOf(`product:${product.id}`);
	if (perShortTon === undefined) {
		return notApplicable(label, `no price for ${product.name} is known`, 'Enter its price under Prices.');
	}
	const treated = additivesOf(pass).map((name) => ({ name, price: priceOf(`additive:${name}`) }));
	const unpriced = treated.find(({ price }) => price === undefined);
	if (unpriced) {
		return notApplicable(label, `no price for the ${unpriced.name} is known`, 'Enter its price under Prices.');
	}
	const tons = tonsOf(pass, product);
	const price = figure({
		label: `price of ${product.name}`,
		value: perShortTon,
		unit: '$ per short ton',
		basis: 'adviser'
	});
	return figure({
		label,
		value: treated.reduce((sum, one) => sum + one.price! * (pass.share ?? 1), tons.value * perShortTon),
		unit: '$/ac',
		formula: treated.length === 0 ? 'tons x price' : 'tons x price + additives',
		inputs: [
			tons,
			price,
			...treated.map(({ name, price }) =>
				overTheField(pass, figure({ label: name, value: price!, unit: '$/ac', basis: 'adviser' }))
			)
		],
		basis: 'adviser'
	});
}

/** The additives of a pass, each by its own name. */
export function additivesOf({ additive }: Pick<Pass, 'additive'>): Additive[] {
	if (additive === undefined) return [];
	return additive === 'both inhibitors' ? ['urease inhibitor', 'nitrification inhibitor'] : [additive];
}

function tonsOf(pass: Pass, product: Product): Figure {
	if (pass.unit === 'short ton/ac') return overTheField(pass, passRate(pass, product));
	const pounds = passPounds(pass, product);
	return figure({
		label: product.name,
		value: pounds.value / LB_PER_SHORT_TON,
		unit: 'short ton/ac',
		formula: `lb / ${LB_PER_SHORT_TON}`,
		inputs: [pounds],
		basis: 'adviser'
	});
}

/** The sum of the passes' costs, $/ac; does not apply while any price is missing, and says which. */
export function planCost(costs: readonly Answer[]): Answer {
	const label = 'product cost of the plan';
	const missing = costs.filter((cost) => !cost.applies);
	if (missing.length > 0) {
		const reasons = [...new Set(missing.map((cost) => cost.reason))].join('; ');
		return notApplicable(label, reasons, 'Enter the prices under Prices.');
	}
	const known = costs.filter((cost) => cost.applies);
	return figure({
		label,
		value: known.reduce((sum, cost) => sum + cost.value, 0),
		unit: '$/ac',
		formula: 'sum of the passes',
		inputs: known,
		basis: 'adviser'
	});
}
