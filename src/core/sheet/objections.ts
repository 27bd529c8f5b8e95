import type { SheetContent } from '../schema-types';
import { longDate } from '../units/day-text';
import { namedCheck } from './sheet-warnings';

/** What a sheet of a plan is issued over with a reason only: its stops, and open passes whose day is past. */
export function objections(
	content: Pick<SheetContent, 'checks' | 'findings' | 'passes'>,
	/** YYYY-MM-DD. */
	today: string,
	/** Ids of passes that were applied. */
	done: ReadonlySet<string>
): string[] {
	const stops = [
		...content.checks.filter(({ severity }) => severity === 'stop').map((check) => namedCheck(check, content)),
		...content.findings.filter(({ severity }) => severity === 'stop').map(({ text }) => text)
	];
	const past = content.passes
		.filter(({ pass }) => pass.date < today && !done.has(pass.id))
		.map(({ pass }) => `${pass.label} was planned for ${longDate(pass.date)} and is not applied.`);
	return [...new Set([...stops, ...past])];
}
