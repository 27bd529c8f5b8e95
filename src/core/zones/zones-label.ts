import type { Zone } from '../schema-types';

/**
 * What the history says of zones that were put in place of others.
 * @param from the file, layers or grid that they come from; left out where they were changed by hand
 */
export function zonesLabel(before: readonly Zone[], after: readonly Zone[], from?: string): string {
	const count = `${after.length} ${after.length === 1 ? 'zone' : 'zones'}`;
	if (from !== undefined) return `Made ${count} from ${from}`;
	const gone = before.filter(({ name }) => !after.some((zone) => zone.name === name));
	const fresh = after.filter(({ name }) => !before.some((zone) => zone.name === name));
	const [lost] = gone;
	const [made] = fresh;
	if (gone.length === 1 && fresh.length === 1) return `Named ${lost!.name} ${made!.name}`;
	if (gone.length > 0 && fresh.length === 0) return gone.length === 1 ? `Removed ${lost!.name}` : 'Removed the zones';
	if (fresh.length > 0 && gone.length === 0)
		return fresh.length === 1 ? `Drew ${made!.name}` : `Drew ${fresh.length} zones`;
	if (fresh.length > 0) return `Made ${count}`;
	const reshaped = after.filter(({ name, shape }) => !same(shape, before.find((zone) => zone.name === name)?.shape));
	if (reshaped.length > 0) return `Changed the corners of ${reshaped.map(({ name }) => name).join(', ')}`;
	return 'Changed what is known of the zones';
}

function same(one: unknown, other: unknown): boolean {
	return JSON.stringify(one) === JSON.stringify(other);
}
