import type { TrialPlan } from '../../schema-types';

/** What of a plan says where its plots lie and what is on them; the rest may change while they are measured. */
const LAYS_OUT = [
	'design',
	'factors',
	'wholePlot',
	'blocks',
	'widthFt',
	'lengthFt',
	'headlandFt',
	'headingDegrees',
	'near',
	'seed'
] as const satisfies readonly (keyof TrialPlan)[];

/** Whether two plans lay out the same plots. */
export function samePlots(one: TrialPlan, other: TrialPlan): boolean {
	return LAYS_OUT.every((key) => JSON.stringify(one[key]) === JSON.stringify(other[key]));
}
