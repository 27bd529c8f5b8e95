import type { Pass, PlanReason } from '../../schema-types';
import { longDate } from '../../units/day-text';

/** How many passes are named one by one. */
const MOST_NAMED = 3;

/**
 * What the history says of a change of the plan.
 * @param before the passes that go, or are replaced by one of the same id
 * @param added the passes that come
 */
export function planLabel(before: readonly Pass[], added: readonly Pass[], because?: PlanReason): string {
	if (because) return REASONS[because.kind](because.name, before[0]?.label);
	const inPlace = added.filter(({ id }) => before.some((pass) => pass.id === id));
	const fresh = added.filter((pass) => !inPlace.includes(pass));
	const first = before[0];
	if (first && fresh.length === 0 && inPlace.length === before.length) {
		const date = inPlace[0]!.date;
		return isMove(before, inPlace) ? `Moved ${first.label} to ${longDate(date)}` : `Changed ${first.label}`;
	}
	if (first && fresh.length === 0)
		return `Removed ${named(before.filter(({ id }) => !inPlace.some((pass) => pass.id === id)))}`;
	if (first && inPlace.length > 0) return `Added ${named(fresh)} to ${first.label}`;
	return first ? `Changed ${named(before)}` : `Added ${named(fresh)}`;
}

const REASONS: Record<PlanReason['kind'], (name: string, first: string | undefined) => string> = {
	remedy: (name) => name,
	programme: (name) => `Chose the programme “${name}”`,
	mix: (name) => `Put ${name} into the plan`,
	source: (name, first) => (first ? `Took ${name} for ${first}` : `Put ${name} into the plan`)
};

function named(passes: readonly Pass[]): string {
	return passes.length > MOST_NAMED ? `${passes.length} passes` : passes.map(({ label }) => label).join(', ');
}

/** Whether nothing but the day differs, and it is one day for all. */
function isMove(before: readonly Pass[], after: readonly Pass[]): boolean {
	const [day] = after.map(({ date }) => date);
	return (
		before[0]!.date !== day &&
		after.every((pass) => {
			const was = before.find(({ id }) => id === pass.id)!;
			return pass.date === day && JSON.stringify({ ...was, date: day }) === JSON.stringify({ ...pass, date: day });
		})
	);
}
