import { areaAcres } from '$core/ground/shapes/geodesic-area';
import { shapeProblems } from '$core/ground/shapes/check-shape';
import type { LayerQuantity } from '$core/schema-types';
import { ActionError } from '$lib/server/book/action-error';
import { boundaryOf, fieldOf } from '$lib/server/http/field-param';
import type { MapContent } from '$lib/server/files/map-file/map-content';
import { readMapFile } from '$lib/server/files/map-file/read-map-file';
import { layerOf } from '$lib/server/files/map-file/take-layer';
import { addLayers } from '$lib/server/stores/ground-maps';
import { theBook } from '$lib/server/the-book';
import { answerFile } from '$lib/server/http/uploaded-file';
import type { RequestHandler } from './$types';

/** So many shapes are shown to choose from. */
const MOST_SHOWN = 200;
const NAMES = ['name', 'Name', 'NAME', 'ZONE', 'zone', 'id'];

/**
 * Reads a map file. Without more it only looks, and nothing is kept: areas to choose from, columns of the points. With
 * `?column=` (and quantity, unit, name, takenOn) that column is kept as a layer.
 */
export const POST: RequestHandler = ({ request, params, url }) =>
	answerFile(request, async ({ name, bytes }) => {
		const field = fieldOf(params);
		const content = await readMapFile(name, bytes);
		const column = url.searchParams.get('column');
		if (column === null) return lookAt(name, content);
		const takenOn = url.searchParams.get('takenOn');
		const about = {
			name: url.searchParams.get('name') ?? column,
			quantity: (url.searchParams.get('quantity') ?? 'other') as LayerQuantity,
			unit: url.searchParams.get('unit') ?? '',
			...(takenOn ? { takenOn } : {})
		};
		const { layer, notes } = layerOf(content, column, about, boundaryOf(field));
		addLayers(theBook(), field.id, [layer]);
		return { points: layer.points.length, notes: [...content.notes, ...notes] };
	});

function lookAt(name: string, { shapes, points, columns, notes }: MapContent) {
	if (shapes.length > MOST_SHOWN) {
		throw new ActionError(
			`${name} holds ${shapes.length} areas; at most ${MOST_SHOWN} are shown to choose from. Cut it down first.`
		);
	}
	return {
		notes,
		shapes: shapes.map(({ shape, properties }, at) => {
			const [problem] = shapeProblems(shape, `area ${at + 1}`);
			const given = NAMES.map((key) => properties[key]).find(
				(value) => typeof value === 'string' || typeof value === 'number'
			);
			return {
				name: given === undefined ? `Area ${at + 1}` : String(given).slice(0, 60),
				...(problem ? { problem: `${problem.path} ${problem.message}` } : { acres: areaAcres(shape), shape })
			};
		}),
		points: points.length,
		columns: columns.slice(0, 100).map((column) => {
			let [least, most, count] = [Infinity, -Infinity, 0];
			for (const { values } of points) {
				const value = values[column];
				if (value === undefined) continue;
				least = Math.min(least, value);
				most = Math.max(most, value);
				count++;
			}
			return { column, least, most, count };
		})
	};
}
