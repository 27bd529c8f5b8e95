import type { Pass, PassCheck, Remedy } from '../../schema-types';
import type { PlanContext } from '../plan/plan-context';
import { isInSeason } from '../plan/season-span';
import { checkSeason } from './check-season';

/**
 * The checks of a plan with the remedies that keep what they promise: none moves a pass out of its season or before today, and none raises
 * another stop.
 */
export function soundRemedies(
	checks: readonly PassCheck[],
	passes: readonly Pass[],
	context: PlanContext
): PassCheck[] {
	const before = stopsByRule(checks);
	const keeps = ({ passes: instead }: Remedy, replaced: string | undefined) => {
		const moved = instead.filter(({ date }) => !passes.some((pass) => pass.date === date));
		if (moved.some(({ date }) => date < context.today || !isInSeason(date, context.plantingDate))) return false;
		const after = stopsByRule(checkSeason([...passes.filter(({ id }) => id !== replaced), ...instead], context));
		return [...after].every(([rule, count]) => count <= (before.get(rule) ?? 0));
	};
	return checks.map((check) =>
		check.remedies.length === 0
			? check
			: { ...check, remedies: check.remedies.filter((remedy) => keeps(remedy, check.pass)) }
	);
}

function stopsByRule(checks: readonly PassCheck[]): Map<string, number> {
	const stops = new Map<string, number>();
	for (const { rule, severity } of checks) if (severity === 'stop') stops.set(rule, (stops.get(rule) ?? 0) + 1);
	return stops;
}
