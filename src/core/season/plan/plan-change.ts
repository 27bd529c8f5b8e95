import type { Pass, Remedy } from '../../schema-types';
import { tripKey, tripOf, withItsTrip } from './trips';
import { longDate } from '../../units/day-text';

/** One change of a plan, as it is kept and undone: what goes, what comes, and its name in the history. */
export interface PlanChange {
	label: string;
	/** Ids of passes that go. */
	removed: string[];
	added: Pass[];
}

/** A remedy taken: its passes in the place of the pass it mends, or beside the plan where it mends none that stands. */
export function remedyTaken({ label, passes }: Remedy, id: string | undefined, kept: readonly Pass[]): PlanChange {
	const pass = kept.find((one) => one.id === id);
	return { label, ...(pass ? withItsTrip(pass, passes, kept) : { removed: [], added: passes }) };
}

/** A pass put on another day, with all that goes on in the same trip; undefined where the day is the same. */
export function passMoved(pass: Pass, date: string, kept: readonly Pass[]): PlanChange | undefined {
	if (date === pass.date) return undefined;
	const passes = tripOf(pass, kept);
	return {
		label: `Moved ${pass.label} to ${longDate(date)}`,
		removed: passes.map(({ id }) => id),
		added: passes.map((one) => ({ ...one, date }))
	};
}

/** What the form gives: a new pass, one in the place of another, or one more product of the trip of another. */
export function passKept(
	pass: Pass,
	{ pass: before, tripOf: lead }: { pass?: Pass; tripOf?: Pass },
	kept: readonly Pass[]
): PlanChange {
	if (before) return { label: `Changed ${pass.label}`, ...withItsTrip(before, [pass], kept) };
	if (!lead) return { label: `Added ${pass.label}`, removed: [], added: [pass] };
	const trip = tripKey(lead);
	return {
		label: `Added ${pass.label} to ${lead.label}`,
		removed: [lead.id],
		added: [
			{ ...lead, trip },
			{ ...pass, date: lead.date, trip }
		]
	};
}

/** A whole programme in the place of what is planned; what is done stays. */
export function programmeTaken(
	{ name, passes }: { name: string; passes: readonly Pass[] },
	kept: readonly Pass[],
	done: ReadonlySet<string>
): PlanChange {
	const stays = (id: string) => passes.some((pass) => pass.id === id);
	return {
		label: `Took the programme “${name}”`,
		removed: kept.filter(({ id }) => !done.has(id) && !stays(id)).map(({ id }) => id),
		added: passes.filter(({ id }) => !kept.some((pass) => pass.id === id))
	};
}
