import { figure, notApplicable, type Answer } from '../figure/figure';
import type { Pass, Product } from '../schema-types';

/**
 * Dollars per acre of product in a pass.
 * @param pricePerShortTon $ per short ton of product; undefined where the price list has none
 */
export function passCost(pass: Pass, product: Product, pricePerShortTon: number | undefined): Answer {
	const label = `cost of ${pass.label}`;
	if (pricePerShortTon === undefined) {
		return notApplicable(label, `no price for ${product.name} is known`, 'Enter its price under Supply.');
	}
	const tons = figure({
		label: product.name,
		value: pass.unit === 'short ton/ac' ? pass.rate : pass.rate / 2000,
		unit: 'short ton/ac',
		formula: pass.unit === 'short ton/ac' ? '' : 'lb / 2000',
		inputs:
			pass.unit === 'short ton/ac'
				? []
				: [figure({ label: 'rate', value: pass.rate, unit: 'lb/ac', basis: 'adviser' })],
		basis: 'adviser'
	});
	return figure({
		label,
		value: tons.value * pricePerShortTon,
		unit: '$/ac',
		formula: 'tons x price',
		inputs: [
			tons,
			figure({ label: `price of ${product.name}`, value: pricePerShortTon, unit: '$ per short ton', basis: 'adviser' })
		],
		basis: 'adviser'
	});
}

/** The sum of the passes' costs, $/ac; does not apply while any price is missing, and says which. */
export function planCost(costs: readonly Answer[]): Answer {
	const label = 'product cost of the plan';
	const missing = costs.filter((cost) => !cost.applies);
	if (missing.length > 0) {
		const reasons = [...new Set(missing.map((cost) => cost.reason))].join('; ');
		return notApplicable(label, reasons, 'Enter the prices under Supply.');
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
