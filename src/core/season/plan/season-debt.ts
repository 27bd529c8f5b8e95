import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { Pass } from '../../schema-types';
import { passAcidity } from './pass/pass-acidity';
import { productOf, type PlanContext } from './plan-context';

/** Lime to offset acidity of a season's passes, lb of pure CaCO3 per acre; products whose acid is not known are named. */
export function seasonDebt(passes: readonly Pass[], { products }: PlanContext): Answer {
	const label = 'lime to offset acidity of the season';
	const parts: Figure[] = [];
	const cautions: string[] = [];
	for (const pass of passes) {
		const part = passAcidity(pass, productOf(pass, products));
		if (!part.applies) cautions.push(`${part.reason}; it is not counted.`);
		else if (part.value !== 0) parts.push(part);
	}
	if (parts.length === 0 && cautions.length > 0) {
		return notApplicable(label, 'the acid of these products is not known', 'Ask their makers.');
	}
	return figure({
		label,
		value: parts.reduce((sum, { value }) => sum + value, 0),
		unit: 'lb/ac',
		formula: parts.length > 0 ? 'sum of the passes, each by its product' : 'no pass makes acid',
		inputs: parts,
		basis: 'memory',
		citation: 'Pierre 1933; common tables',
		cautions
	});
}

/** What the lime that pays a debt costs, $/ac: pounds / 2000 x price per ton that acts. */
export function debtCost(debt: Answer, pricePerEffectiveTon: Answer): Answer {
	const label = 'cost of the lime that pays the debt';
	if (!debt.applies) return notApplicable(label, debt.reason, debt.remedy);
	if (!pricePerEffectiveTon.applies) {
		return notApplicable(label, pricePerEffectiveTon.reason, pricePerEffectiveTon.remedy);
	}
	return figure({
		label,
		value: (debt.value / 2000) * pricePerEffectiveTon.value,
		unit: '$/ac',
		formula: 'debt / 2000 x price per effective ton',
		inputs: [debt, pricePerEffectiveTon],
		basis: 'adviser'
	});
}
