import type { Pass } from '../../schema-types';
import type { PlanContext } from '../plan/plan-context';
import { secondCropFrom } from '../stages/stages-of-year';

/** The passes that go on for the first crop of a year, and those for the second. */
export function byCropOfYear<P extends Pick<Pass, 'date'>>(
	passes: readonly P[],
	{ second }: Pick<PlanContext, 'second'>
): { first: P[]; then: P[] } {
	const from = second && secondCropFrom(second);
	const isThen = ({ date }: P) => from !== undefined && date >= from;
	return { first: passes.filter((pass) => !isThen(pass)), then: passes.filter(isThen) };
}

/**
 * The plan as the rules see it for the second crop: the same ground, its own days and stages, and nothing that was settled for the first.
 * @returns undefined where there is no second crop, or its day of planting is not known
 */
export function secondContext(context: PlanContext): PlanContext | undefined {
	const { second, applied } = context;
	return (
		second && {
			...context,
			...second,
			chosen: second.nitrogen === undefined ? {} : { N: second.nitrogen },
			// What the sample found in the ground is gone with the first crop.
			holdingRoom: context.holdingLimit,
			applied: byCropOfYear(applied, context).then,
			notBefore: undefined,
			tilleringN: undefined,
			tillersCountedOn: undefined,
			starter: undefined,
			rowSpacingIn: undefined,
			placed: undefined,
			second: undefined
		}
	);
}
