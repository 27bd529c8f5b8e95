import { differencesOf, type Difference } from './differences';

/** Whose version is to stand. */
export type Stands = 'book' | 'own';

interface Asked {
	differences: Difference[];
	choose: (stands: Stands) => void;
}

/** What the adviser is asked just now; one at a time, since changes go one after the other. */
export const conflict = $state<{ asked: Asked | undefined }>({ asked: undefined });

/**
 * Shows what the book holds beside what was to be saved, and waits for the adviser's choice.
 * @param now what the book holds, in the shape of the body's `seen`
 * @param body what was to be saved
 */
export async function askWhichStands(now: unknown, body: object): Promise<Stands> {
	const stands = await new Promise<Stands>((choose) => {
		conflict.asked = { differences: differencesOf(now, ownOf(now, body)), choose };
	});
	conflict.asked = undefined;
	return stands;
}

/** The part of a body that stands against what the book holds: passes that come, zones, prices, facts of a zone, or all of it. */
function ownOf(now: unknown, body: object): unknown {
	const parts = body as Partial<Record<'added' | 'zones' | 'prices' | 'facts', unknown>>;
	return parts.added ?? parts.zones ?? parts.prices ?? parts.facts ?? body;
}
