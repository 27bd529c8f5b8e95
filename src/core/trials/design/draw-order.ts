import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { TrialPlan } from '../../schema-types';
import { treatmentsOf, type Levels } from './treatments';

/** Drawn anew at most so often where every block came out alike. */
const MOST_DRAWS = 50;

/**
 * The order of treatments in each block, drawn by the plan's seed; in a split plot the whole plots first and then within each;
 * in a Latin square each treatment once in every row and column.
 * All blocks alike are drawn again: one order everywhere cannot tell a treatment from its place.
 */
export function drawOrder(plan: Pick<TrialPlan, 'factors' | 'blocks' | 'seed' | 'design' | 'wholePlot'>): Levels[][] {
	const random = xoroshiro128plus(plan.seed);
	const shuffled = <T>(items: readonly T[]): T[] => {
		const own = [...items];
		for (let last = own.length - 1; last > 0; last--) {
			const at = uniformInt(random, 0, last);
			[own[last], own[at]] = [own[at]!, own[last]!];
		}
		return own;
	};
	const treatments = treatmentsOf(plan);
	const whole = plan.design === 'split-plot' ? plan.factors.find(({ name }) => name === plan.wholePlot) : undefined;
	// A square in which each row is the one before moved on by one, its rows, columns and treatments shuffled.
	const latinSquare = () => {
		const [rows, columns, kinds] = [
			shuffled([...treatments.keys()]),
			shuffled([...treatments.keys()]),
			shuffled(treatments)
		];
		return rows.map((row) => columns.map((column) => kinds[(row + column) % kinds.length]!));
	};
	const block = () =>
		whole
			? shuffled(whole.levels).flatMap((level) => shuffled(treatments.filter((one) => one[whole.name] === level)))
			: shuffled(treatments);
	const draw = () => (plan.design === 'latin-square' ? latinSquare() : Array.from({ length: plan.blocks }, block));
	let order = draw();
	for (let draws = 1; plan.blocks > 1 && allAlike(order) && draws < MOST_DRAWS; draws++) order = draw();
	return order;
}

function allAlike(order: readonly Levels[][]): boolean {
	const [first, ...rest] = order.map((block) => JSON.stringify(block));
	return rest.every((one) => one === first);
}
