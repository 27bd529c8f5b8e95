import type { Pass, PlanReason, Remedy } from '../../schema-types';
import { tripKey, tripOf, withItsTrip } from './trips';

/** One change of a plan, as it is kept and undone: what goes, what comes, and why. */
export interface PlanChange {
	because?: PlanReason;
	/** Ids of passes that go. */
	removed: string[];
	added: Pass[];
}

/** A remedy taken: its passes in the place of the pass it mends, or beside the plan where it mends none that stands. */
export function remedyTaken({ label, passes }: Remedy, id: string | undefined, kept: readonly Pass[]): PlanChange {
	const pass = kept.find((one) => one.id === id);
	const because: PlanReason = { kind: 'remedy', name: label };
	return { because, ...(pass ? withItsTrip(pass, passes, kept) : { removed: [], added: passes }) };
}

/** A pass put on another day, with all that goes on in the same trip; undefined where the day is the same. */
export function passMoved(pass: Pass, date: string, kept: readonly Pass[]): PlanChange | undefined {
	if (date === pass.date) return undefined;
	const passes = [pass, ...tripOf(pass, kept).filter(({ id }) => id !== pass.id)];
	return {
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
	if (before) return withItsTrip(before, [pass], kept);
	if (!lead) return { removed: [], added: [pass] };
	const trip = tripKey(lead);
	return {
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
		because: { kind: 'programme', name },
		removed: kept.filter(({ id }) => !done.has(id) && !stays(id)).map(({ id }) => id),
		added: passes.filter(({ id }) => !kept.some((pass) => pass.id === id))
	};
}
