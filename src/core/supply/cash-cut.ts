import { figure, notApplicable, type Answer, type Figure } from '../figure/figure';
import type { BALANCED } from '../season/plan/balance/nutrient-balance';

type Balanced = (typeof BALANCED)[number];

/** A product of the plan: what it costs and brings on an acre. */
export interface CutLine {
	product: string;
	/** $/ac */
	cost: Answer;
	/** lb/ac */
	brings: Record<Balanced, number>;
}

/** A nutrient in the plan as it stands and in the one that is cut, lb/ac. */
export interface CutNutrient {
	nutrient: Balanced;
	/** Taken off by the expected crop. */
	removed: Figure;
	plan: Figure;
	cut: Figure;
	/** Removed and not replaced; 0 where the cut plan still brings as much. */
	unreplaced: Figure;
}

/**
 * A plan cut for cash flow beside the balanced one: what the cut saves, and what of the removal it leaves unreplaced.
 * @param removed by the expected crop, lb/ac; a nutrient whose removal is not known is left out
 * @param product the product that is cut; undefined for all alike
 * @param share what of it is left out, 0 to 1
 */
export function cashCut(
	lines: readonly CutLine[],
	removed: Partial<Record<Balanced, Figure>>,
	product: string | undefined,
	share: number
): { saved: Answer; nutrients: CutNutrient[] } {
	const cut = lines.filter((line) => product === undefined || line.product === product);
	const nutrients = (Object.entries(removed) as [Balanced, Figure][]).map(([nutrient, out]): CutNutrient => {
		const pounds = (label: string, some: readonly CutLine[], part: number) =>
			figure({
				label,
				value: some.reduce((sum, { brings }) => sum + brings[nutrient] * part, 0),
				unit: 'lb/ac',
				formula: 'sum of the passes',
				basis: 'adviser'
			});
		const plan = pounds(`${nutrient} of the plan`, lines, 1);
		const less = pounds(`${nutrient} left out`, cut, share);
		const left = figure({
			label: `${nutrient} after the cut`,
			value: plan.value - less.value,
			unit: 'lb/ac',
			formula: 'plan - left out',
			inputs: [plan, less],
			basis: 'adviser'
		});
		const unreplaced = figure({
			label: `${nutrient} unreplaced`,
			value: Math.max(0, out.value - left.value),
			unit: 'lb/ac',
			formula: 'removed - after the cut, at least 0',
			inputs: [out, left],
			basis: out.basis,
			citation: out.citation
		});
		return { nutrient, removed: out, plan, cut: left, unreplaced };
	});
	return { saved: savedBy(cut, share), nutrients };
}

function savedBy(cut: readonly CutLine[], share: number): Answer {
	const label = 'saved';
	const costs = cut.map(({ cost }) => cost);
	const unknown = costs.find((cost) => !cost.applies);
	if (unknown && !unknown.applies) return notApplicable(label, unknown.reason, unknown.remedy);
	const known = costs.filter((cost) => cost.applies);
	return figure({
		label,
		value: share * known.reduce((sum, { value }) => sum + value, 0),
		unit: '$/ac',
		formula: 'cost x share left out',
		inputs: known,
		basis: 'adviser'
	});
}
