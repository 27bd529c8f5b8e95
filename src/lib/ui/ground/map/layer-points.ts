import type { GroundLayer, PlacedPoint } from '$core/schema-types';
import { question } from '../../forms/call';

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
	const asked = question('GET /api/fields/{field}/layers/{layer}', { field: fieldId, layer: layerId }).then(
		({ answer, problem }) => {
			if (answer) return answer;
			known.delete(layerId);
			throw new Error(problem);
		}
	);
	known.set(layerId, asked);
	return asked;
}
