import type { Pass } from '../../schema-types';

/** The trip of a pass, or its own id where it goes alone. */
export function tripKey({ id, trip }: Pick<Pass, 'id' | 'trip'>): string {
	return trip ?? id;
}

/** How often somebody drives over the field: passes of one trip count once. */
export function tripCount(passes: readonly Pick<Pass, 'id' | 'trip'>[]): number {
	return new Set(passes.map(tripKey)).size;
}

/** Passes by the trip they go on with, in the order in which each trip first stands. */
export function byTrip<T>(list: readonly T[], passOf: (one: T) => Pick<Pass, 'id' | 'trip'>): Map<string, T[]> {
	const trips = new Map<string, T[]>();
	for (const one of list) {
		const key = tripKey(passOf(one));
		trips.set(key, [...(trips.get(key) ?? []), one]);
	}
	return trips;
}

/** The passes that go on with one: itself, and those of its trip. */
export function tripOf<P extends Pick<Pass, 'id' | 'trip'>>(pass: P, passes: readonly P[]): P[] {
	return passes.filter(({ id, trip }) => id === pass.id || (trip !== undefined && trip === pass.trip));
}

/** A pass and what takes its place: where that is one pass on another day, its trip goes with it. */
export function withItsTrip(
	pass: Pass,
	replacement: readonly Pass[],
	passes: readonly Pass[]
): { removed: string[]; added: Pass[] } {
	const [only, ...more] = replacement;
	const others = tripOf(pass, passes).filter(({ id }) => id !== pass.id);
	if (!only || more.length > 0 || only.date === pass.date || only.trip === undefined || others.length === 0) {
		return { removed: [pass.id], added: [...replacement] };
	}
	return {
		removed: [pass.id, ...others.map(({ id }) => id)],
		added: [only, ...others.map((other) => ({ ...other, date: only.date }))]
	};
}
