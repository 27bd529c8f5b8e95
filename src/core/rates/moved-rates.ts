import type { CompiledRule } from '../packs/pack';
import type { ManyRates } from './rates-of-many';

/** A field whose rate by one rule moves when a guide is changed. */
export interface MovedRate {
	/** Row of the field in both runs. */
	row: number;
	rule: string;
	nutrient: string;
	/** lb/ac or short ton/ac, whatever the reader's units. */
	unit: string;
	/** null where the rule does not apply. */
	before: number | null;
	after: number | null;
}

/** Below this a rate prints the same: lb/ac to a tenth, lime to a hundredth. */
const PRINTED = { 'lb/ac': 0.05, 'short ton/ac': 0.005, '%': 0.05 } as const;

/**
 * What a changed guide does to the rates of the same sites in the same order.
 * @param rules of the guide as changed; a rule is held against the one of the same name before
 * @param before undefined where the guide is new: then every rate it gives is one that moves
 */
export function movedRates(
	rules: readonly CompiledRule[],
	before: ManyRates | undefined,
	after: ManyRates,
	sites: number
): MovedRate[] {
	const columns = after.methods.map((method, column) => {
		const compiled = rules.find((candidate) => candidate.method === method)!;
		const was = before?.methods.findIndex((name) => name.endsWith(`/${compiled.rule.id}`)) ?? -1;
		return { compiled, column, was };
	});
	return Array.from({ length: sites }).flatMap((_, row) =>
		columns.flatMap(({ compiled: { rule }, column, was }) => {
			const now = rateAt(after, row, column);
			const then = was < 0 ? null : rateAt(before!, row, was);
			if (now === then) return [];
			if (now !== null && then !== null && Math.abs(now - then) < PRINTED[rule.unit]) return [];
			return [{ row, rule: rule.title, nutrient: rule.gives, unit: rule.unit, before: then, after: now }];
		})
	);
}

function rateAt({ rates, methods }: ManyRates, row: number, column: number): number | null {
	const rate = rates[row * methods.length + column]!;
	return Number.isNaN(rate) ? null : rate;
}
