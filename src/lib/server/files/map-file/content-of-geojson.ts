import type { Feature, GeoJSON, Geometry, Position } from 'geojson';
import { ActionError } from '../../book/action-error';
import { MOST_POINTS, MOST_SHAPES, type MapContent } from './map-content';

/** Shapes and points of GeoJSON; lines are passed over and told. */
export function contentOf(name: string, document: GeoJSON): MapContent {
	const content: MapContent = { shapes: [], points: [], columns: [], notes: [] };
	let passedOver = 0;
	for (const { geometry, properties } of featuresOf(name, document).filter(isFeature)) {
		for (const one of geometriesOf(geometry)) {
			if (one.type === 'Polygon' || one.type === 'MultiPolygon') {
				content.shapes.push({ shape: flat(name, one), properties: properties ?? {} });
			} else if (one.type === 'Point') {
				content.points.push({ position: placeOf(name, one.coordinates), ...valuesOf(properties ?? {}) });
			} else passedOver++;
			if (content.shapes.length > MOST_SHAPES || content.points.length > MOST_POINTS) {
				throw new ActionError(
					`${name} holds more than ${MOST_SHAPES} shapes or ${MOST_POINTS} points; cut out the field first.`
				);
			}
		}
	}
	content.columns = columnsOf(content.points);
	if (content.shapes.length + content.points.length === 0) {
		throw new ActionError(`${name} holds no areas and no points${passedOver > 0 ? `, only ${passedOver} lines` : ''}.`);
	}
	if (passedOver > 0) content.notes.push(`${passedOver} lines were passed over: areas and points are read.`);
	return content;
}

/** Columns that hold a number in any point, in the order in which they first stand. */
export function columnsOf(points: MapContent['points']): string[] {
	const columns = new Set<string>();
	for (const { values } of points) for (const column in values) columns.add(column);
	return [...columns];
}

function featuresOf(name: string, document: GeoJSON): (Feature<Geometry | null> | null)[] {
	if (document.type === 'FeatureCollection' && Array.isArray(document.features)) return document.features;
	if (document.type === 'Feature') return [document];
	if ('coordinates' in document || document.type === 'GeometryCollection') {
		return [{ type: 'Feature', geometry: document, properties: {} }];
	}
	throw new ActionError(`${name} is JSON, but no GeoJSON: it has no type that is known.`);
}

/** Some programs write null for what they cannot draw; it says nothing. */
function isFeature(feature: Feature<Geometry | null> | null): feature is Feature<Geometry | null> {
	return typeof feature === 'object' && feature !== null;
}

function geometriesOf(geometry: Geometry | null): Geometry[] {
	if (!geometry) return [];
	if (geometry.type === 'GeometryCollection') return geometry.geometries.flatMap(geometriesOf);
	if (geometry.type === 'MultiPoint')
		return geometry.coordinates.map((coordinates) => ({ type: 'Point', coordinates }));
	return [geometry];
}

function placeOf(name: string, given: unknown): Position {
	const [x, y] = Array.isArray(given) ? (given as unknown[]) : [];
	if (typeof x === 'number' && typeof y === 'number') return [x, y];
	throw new ActionError(`${name} is broken: a corner is ${JSON.stringify(given)}, not two numbers.`);
}

/** Without heights, which some programs write as a third number; anything else than numbers is refused. */
function flat<S extends MapContent['shapes'][number]['shape']>(name: string, shape: S): S {
	const position = (given: unknown) => placeOf(name, given);
	const rings = (given: unknown): Position[][] => list(given).map((ring) => list(ring).map(position));
	const list = (given: unknown): unknown[] => {
		if (Array.isArray(given)) return given;
		throw new ActionError(`${name} is broken: an area has no rings.`);
	};
	const coordinates = shape.type === 'Polygon' ? rings(shape.coordinates) : list(shape.coordinates).map(rings);
	return { type: shape.type, coordinates } as S;
}

function valuesOf(properties: Record<string, unknown>): Pick<MapContent['points'][number], 'values' | 'words'> {
	const values: Record<string, number> = {};
	const words: Record<string, string> = {};
	for (const [key, value] of Object.entries(properties)) {
		const number =
			typeof value === 'number' ? value : typeof value === 'string' && value.trim() !== '' ? Number(value) : NaN;
		if (Number.isFinite(number)) values[key] = number;
		else if (typeof value === 'string') words[key] = value;
	}
	return { values, words };
}
