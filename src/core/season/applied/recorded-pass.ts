import type { Application, Applied } from '../../schema-types';
import type { BookedPass } from '../propose/nitrogen-programme';

/** An entry of the book on what was applied. */
export interface BookedApplication {
	id: string;
	content: Application;
}

/** A pass of the plan with every entry on it, in the order in which they were written. */
export interface RecordedPass extends BookedPass {
	applications: readonly BookedApplication[];
}

/** An entry that holds: no correction stands in its place, and something was applied. */
export type StandingApplication = BookedApplication & { content: Application & { applied: Applied } };

/** Of all entries on a pass those that hold, in the order of their days. */
export function standingApplications(entries: readonly BookedApplication[]): StandingApplication[] {
	const corrected = new Set(entries.map(({ content }) => content.corrects));
	return entries
		.filter((entry): entry is StandingApplication => entry.content.applied !== undefined && !corrected.has(entry.id))
		.sort((a, b) => a.content.applied.appliedOn.localeCompare(b.content.applied.appliedOn));
}

/**
 * Part of the field that an entry is about, 1 for the whole: its acres of those of the field when it was written.
 * An entry without acres, or on a field whose area was not known, is about the whole.
 */
export function shareOf({ applied, fieldAcres }: Pick<Application, 'applied' | 'fieldAcres'>): number {
	return applied?.acres === undefined || fieldAcres === undefined ? 1 : applied.acres / fieldAcres;
}

/** A field counts as covered from here on: common practice, headlands and wheel tracks are never measured to the acre. */
const COVERED = 0.98;

/**
 * The day on which a pass was done with: that of its last entry, once the entries cover the field or one says that nothing more goes on.
 * @returns null while there is something left to apply
 */
export function endOf(entries: readonly BookedApplication[]): string | null {
	const standing = standingApplications(entries);
	const covered = standing.reduce((sum, { content }) => sum + shareOf(content), 0) >= COVERED;
	const ended = standing.some(({ content }) => content.applied.ended === true);
	return covered || ended ? (standing.at(-1)?.content.applied.appliedOn ?? null) : null;
}
