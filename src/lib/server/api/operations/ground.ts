import { InputError } from '../../../../core/check/problem';
import { shapeProblems } from '../../../../core/ground/shapes/check-shape';
import { insideTest } from '../../../../core/ground/shapes/inside';
import type {
	LayerAction,
	LayerPoints,
	LayerQuantity,
	LayerTaken,
	LookedAt,
	ZoneFactsAction,
	ZonesAction
} from '../../../../core/schema-types';
import { cutByField } from '../../../../core/zones/shapes/cut-by-field';
import { zonesLabel } from '../../../../core/zones/zones-label';
import { ActionError } from '../../book/action-error';
import { boundaryOf } from '../../field/zones/boundary-of';
import { seasonOf } from '../../field/zones/zone-season';
import { readApart } from '../../files/apart/read-apart';
import { findFieldYear } from '../../stores/field-years';
import {
	addLayers,
	layerPoints,
	listZones,
	removeLayer,
	replaceZones,
	setZoneFacts,
	type ZoneRecord
} from '../../stores/ground-maps';
import { fieldAt } from '../at';
import { SQUARE } from '../examples';
import { json, MAP_FILE, operation, type Call } from '../operation';

/** Zones of a field with what is known of them in a year, as the page of that year shows them. */
function zonesShown({ params, desk }: Call<'{field}'>, year: number | undefined): ZoneRecord[] {
	const goal = year === undefined ? undefined : findFieldYear(desk.book, params.field, year);
	return listZones(desk.book, params.field, goal);
}

export const groundOperations = [
	operation('PUT /api/fields/{field}/zones', {
		summary: 'Puts zones in place of those of the field; one of the same name keeps what is known of it',
		body: json<ZonesAction>('actions#/definitions/ZonesAction'),
		example: { zones: [{ name: 'Bottom', shape: SQUARE, facts: {} }], from: 'a map' },
		stands: (call, { year }) => zonesShown(call, year).map(({ id, facts }) => ({ id, facts })),
		run: (call, { zones, year, from }) => {
			const { id, ...field } = fieldAt(call);
			const problems = zones.flatMap(({ name, shape }) => shapeProblems(shape, name));
			if (problems.length > 0) throw new InputError(problems);
			const boundary = boundaryOf(field);
			const cut = zones.map((zone) => {
				if (!boundary) return zone;
				const shape = cutByField(zone.shape, boundary);
				if (shape) return { ...zone, shape };
				throw new InputError([{ path: zone.name, message: 'lies outside the field: is it the right file?' }]);
			});
			const { book } = call.desk;
			const season = seasonOf(
				book,
				id,
				year,
				zones.map(({ facts }) => facts)
			);
			replaceZones(book, id, zonesLabel(zonesShown(call, year), cut, from), cut, season);
		}
	}),
	operation('PUT /api/fields/{field}/zones/facts', {
		summary: 'Sets what is known of a zone',
		body: json<ZoneFactsAction>('actions#/definitions/ZoneFactsAction'),
		example: { zone: 'Bottom', facts: { values: { P: 12 } } },
		stands: (call, { zone, year }) => zonesShown(call, year).find(({ name }) => name === zone)?.facts,
		run: ({ params, desk }, { zone, facts, year }) =>
			setZoneFacts(desk.book, params.field, zone, facts, seasonOf(desk.book, params.field, year, [facts]))
	}),
	operation('POST /api/fields/{field}/layers', {
		summary: 'Keeps a layer of points that were set by hand; one of the same name is replaced',
		body: json<LayerAction>('actions#/definitions/LayerAction'),
		example: { layer: { name: 'Walked P', quantity: 'P', unit: 'ppm', points: [[-35.0, 41.0, 14]] } },
		run: (call, { layer }) => {
			const boundary = boundaryOf(fieldAt(call));
			const inField = boundary ? insideTest(boundary) : () => true;
			const at = layer.points.findIndex(([x, y]) => !inField([x, y]));
			if (at >= 0) {
				const [x, y] = layer.points[at]!;
				const message = `${x}, ${y} lies outside the field’s boundary`;
				throw new InputError([{ path: `/layer/points/${at}`, message }]);
			}
			addLayers(call.desk.book, call.params.field, [layer]);
		}
	}),
	operation('GET /api/fields/{field}/layers/{layer}', {
		summary: 'Gives the points of a layer: longitude, latitude, value',
		answer: json<LayerPoints>('answers#/definitions/LayerPoints'),
		run: ({ params, desk }) => layerPoints(desk.book, params.field, params.layer)
	}),
	operation('DELETE /api/fields/{field}/layers/{layer}', {
		summary: 'Removes a layer',
		run: ({ params, desk }) => removeLayer(desk.book, params.field, params.layer)
	}),
	operation('POST /api/fields/{field}/map-file', {
		summary: 'Looks at a map file: areas to choose from and columns of its points; nothing is kept',
		file: MAP_FILE,
		answer: json<LookedAt>('answers#/definitions/LookedAt'),
		run: ({ gone }, _, file) => readApart('map', { file }, gone)
	}),
	operation('POST /api/fields/{field}/layers/file', {
		summary: 'Keeps a column of the points of a map file as a layer',
		query: {
			column: 'The column to keep',
			quantity: 'What it measures',
			unit: 'Its unit',
			name: 'The name of the layer; the column’s where left out',
			takenOn: 'The day on which it was taken, YYYY-MM-DD'
		},
		file: MAP_FILE,
		answer: json<LayerTaken>('answers#/definitions/LayerTaken'),
		run: async (call, _, file) => {
			const column = call.query.get('column');
			if (!column) throw new ActionError('Say which column of the file to keep.');
			const takenOn = call.query.get('takenOn');
			const about = {
				name: call.query.get('name') ?? column,
				quantity: (call.query.get('quantity') ?? 'other') as LayerQuantity,
				unit: call.query.get('unit') ?? '',
				...(takenOn ? { takenOn } : {})
			};
			const boundary = boundaryOf(fieldAt(call));
			const { layer, notes } = await readApart('layer', { file, column, about, boundary }, call.gone);
			addLayers(call.desk.book, call.params.field, [layer]);
			return { points: layer.points.length, notes };
		}
	})
] as const;
