import type { Nutrient, Pass, PassCheck } from '../../schema-types';
import { amountText } from '../../units/amount-text';
import { checkSeason } from '../checks/check-season';
import { carried } from '../plan/pass/carried';
import { NUTRIENTS } from '../plan/pass/pass-nutrients';
import type { PlanContext } from '../plan/plan-context';
import { earliestDay } from './nitrogen-steps';
import type { Programme } from './programme';

/** Less of a nutrient than this is not said, lb/ac. */
const LEAST_SAID = 1;
/** More mends than this, and the rules work against each other. */
const MOST_MENDS = 30;

/**
 * A programme as the rules let it be: where they stop one of its passes, or caution about it, the first of their remedies that leaves
 * less to complain of is taken. A pass that they stop in spite of it is left out, and the programme says so.
 * @param beside passes of the plan that stay as they are: applied, or kept
 */
export function settleProgramme(programme: Programme, context: PlanContext, beside: readonly Pass[]): Programme {
	// Days that nobody expects move no pass and buy no inhibitor.
	const weather = context.weather.madeUp ? { ...context.weather, days: new Map() } : context.weather;
	const judge = (passes: readonly Pass[]) => checkSeason([...beside, ...passes], { ...context, weather });
	const unavoidable = weigh(judge([]));
	let passes = programme.passes;
	let checks = judge(passes);
	for (let mend = 0; mend < MOST_MENDS; mend++) {
		const better = firstBetter(passes, checks, context, judge);
		if (!better) break;
		({ passes, checks } = better);
	}
	const notes = [...programme.notes];
	while (weigh(checks).stops > unavoidable.stops) {
		const stopped = checks.find((check) => check.severity === 'stop' && passes.some(({ id }) => id === check.pass));
		const out = passes.find(({ id }) => id === stopped?.pass) ?? passes.at(-1);
		if (!out) break;
		passes = passes.filter((pass) => pass !== out);
		checks = judge(passes);
		notes.push(`“${out.label}” is left out. ${stopped?.text ?? ''}`.trim());
	}
	return { passes, notes: [...notes, ...shortOf(passes, programme.passes, context)] };
}

/** The plan after the first remedy that leaves fewer stops, or as many stops and fewer cautions. */
function firstBetter(
	passes: readonly Pass[],
	checks: readonly PassCheck[],
	context: PlanContext,
	judge: (passes: readonly Pass[]) => PassCheck[]
): { passes: Pass[]; checks: PassCheck[] } | undefined {
	const now = weigh(checks);
	const from = earliestDay(context);
	for (const check of checks) {
		const pass = passes.find(({ id }) => id === check.pass);
		if (!pass || check.severity === 'note') continue;
		for (const remedy of check.remedies) {
			if (remedy.passes.some(({ date }) => date < from)) continue;
			const mended = [...passes.filter((other) => other !== pass), ...remedy.passes];
			const left = judge(mended);
			const then = weigh(left);
			if (then.stops < now.stops || (then.stops === now.stops && then.cautions < now.cautions)) {
				return { passes: mended, checks: left };
			}
		}
	}
	return undefined;
}

function weigh(checks: readonly PassCheck[]): { stops: number; cautions: number } {
	const count = (severity: PassCheck['severity']) => checks.filter((check) => check.severity === severity).length;
	return { stops: count('stop'), cautions: count('mind') };
}

/** A nutrient of which mending took some off. */
function shortOf(passes: readonly Pass[], before: readonly Pass[], context: PlanContext): string[] {
	return NUTRIENTS.flatMap((nutrient: Nutrient) => {
		const less = carried(before, nutrient, context) - carried(passes, nutrient, context);
		if (less < LEAST_SAID) return [];
		return [`${amountText(context.units).ofArea(less, nutrient)} less than chosen is planned.`];
	});
}
