import type { Pass } from '../schema-types';

/** How often somebody drives over the field: passes of one trip count once. */
export function tripCount(passes: readonly Pick<Pass, 'id' | 'trip'>[]): number {
	return new Set(passes.map(({ id, trip }) => trip ?? id)).size;
}

/** The passes that go on with one: itself, and those of its trip. */
export function tripOf<P extends Pick<Pass, 'id' | 'trip'>>(pass: P, passes: readonly P[]): P[] {
	return passes.filter(({ id, trip }) => id === pass.id || (trip !== undefined && trip === pass.trip));
}
