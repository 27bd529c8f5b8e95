import { entriesOf, keysOf } from '../../check/typed-object';
import type { BlendAnswer, BlendRequest, Nutrient } from '../../schema-types';
import { solveBlend } from './solve-blend';
import type { LpSolver } from './solver';

/** A field that shares a mix with others: what it needs, lb/ac. */
export interface SharingField {
	name: string;
	acres: number;
	demand: Partial<Record<Nutrient, number>>;
}

/** One mix for several fields: its make-up, and how much of it each field gets. */
export interface CommonBlend {
	/** The nutrient by which the fields' rates go. */
	lead: Nutrient;
	/** lb of each product in the rate of the first field. */
	mix: BlendAnswer;
	fields: { name: string; acres: number; rate: number; over: Partial<Record<Nutrient, number>> }[];
	/** $ for all fields. */
	cost: number;
}

/** Below this a nutrient is met, not passed, lb/ac. */
const LEAST_OVER = 0.05;

/**
 * The cheapest mix that serves several fields at rates of their own. The rates go by one lead nutrient: each field gets so much of the
 * mix that its demand of the lead is met, and the mix holds so much of every other nutrient that no field is short. Each nutrient that
 * all fields want is tried as the lead; the cheapest over all acres is taken. Fields whose needs are less alike get more than they
 * asked for, and the answer says how much.
 * @param shelf products and limits; its demand is not looked at
 * @returns undefined where no nutrient is wanted by all fields, or no mix does it
 */
export function commonBlend(
	fields: readonly SharingField[],
	shelf: Omit<BlendRequest, 'demand' | 'tolerance'>,
	solver: LpSolver
): CommonBlend | undefined {
	const [first, ...others] = fields;
	if (!first) return undefined;
	const wantedByAll = keysOf<Nutrient>(first.demand).filter((nutrient) =>
		fields.every(({ demand }) => (demand[nutrient] ?? 0) > 0)
	);
	const all = wantedByAll.flatMap((lead) => withLead(lead, [first, ...others], shelf, solver) ?? []);
	return all.sort((a, b) => a.cost - b.cost)[0];
}

function withLead(
	lead: Nutrient,
	fields: readonly [SharingField, ...SharingField[]],
	shelf: Omit<BlendRequest, 'demand' | 'tolerance'>,
	solver: LpSolver
): CommonBlend | undefined {
	const [first] = fields;
	const share = ({ demand }: SharingField) => demand[lead]! / first.demand[lead]!;
	const demand: Partial<Record<Nutrient, number>> = {};
	for (const field of fields) {
		for (const [nutrient, pounds] of entriesOf<Nutrient, number>(field.demand)) {
			demand[nutrient] = Math.max(demand[nutrient] ?? 0, pounds / share(field));
		}
	}
	const mix = solveBlend({ ...shelf, demand }, solver);
	if (mix.status !== 'optimal') return undefined;
	const perAcre = mix.uses.reduce((sum, { rate }) => sum + rate, 0);
	return {
		lead,
		mix,
		fields: fields.map((field) => ({
			name: field.name,
			acres: field.acres,
			rate: perAcre * share(field),
			over: Object.fromEntries(
				entriesOf<Nutrient, number>(mix.delivered)
					.map(([nutrient, pounds]) => [nutrient, pounds * share(field) - (field.demand[nutrient] ?? 0)] as const)
					.filter(([, pounds]) => pounds > LEAST_OVER)
			)
		})),
		cost: fields.reduce((sum, field) => sum + mix.cost! * share(field) * field.acres, 0)
	};
}
