import type { GroundLayer, PlacedPoint } from '$core/schema-types';

/** A layer without its points, which are fetched where they are shown. */
export type LayerHead = Omit<GroundLayer, 'points' | 'takenOn'> & {
	id: string;
	takenOn?: string | undefined;
	count: number;
};

/** Points by layer. One that is changed gets another id, so that what was fetched stays true. */
const known = new Map<string, Promise<PlacedPoint[]>>();

/** The points of a layer; fetched once. */
export function pointsOf(fieldId: string, layerId: string): Promise<PlacedPoint[]> {
	const there = known.get(layerId);
	if (there) return there;
	const asked = fetch(`/api/fields/${fieldId}/layers/${layerId}`).then(async (response) => {
		if (response.ok) return (await response.json()) as PlacedPoint[];
		known.delete(layerId);
		throw new Error(`The layer could not be read (${response.status}).`);
	});
	known.set(layerId, asked);
	return asked;
}
