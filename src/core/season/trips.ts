import type { Pass } from '../schema-types';

/** How often somebody drives over the field: passes of one trip count once. */
export function tripCount(passes: readonly Pick<Pass, 'id' | 'trip'>[]): number {
	return new Set(passes.map(({ id, trip }) => trip ?? id)).size;
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
