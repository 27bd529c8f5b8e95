import type { Severity } from '../schema-types';

const ORDER: Record<Severity, number> = { stop: 0, mind: 1, note: 2 };

/** Puts what says stop before what says mind, and that before notes; within each the order stays. */
export function gravestFirst<T extends { severity: Severity }>(items: readonly T[]): T[] {
	return [...items].sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}
