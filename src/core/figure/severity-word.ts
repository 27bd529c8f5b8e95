import type { Severity } from '../schema-types';

/** What advisers call a severity, on every screen and paper. */
export const SEVERITY_WORD: Record<Severity, string> = { stop: 'stop', mind: 'caution', note: 'note' };

/** "1 caution", "3 cautions". */
export function severityCount(severity: Severity, count: number): string {
	return `${count} ${SEVERITY_WORD[severity]}${count === 1 ? '' : 's'}`;
}
