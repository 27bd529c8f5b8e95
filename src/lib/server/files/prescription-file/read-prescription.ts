import { XMLParser, XMLValidator } from 'fast-xml-parser';
import type { Position } from 'geojson';
import WKT from 'ol/format/WKT.js';
import MultiPolygon from 'ol/geom/MultiPolygon.js';
import Polygon from 'ol/geom/Polygon.js';
import Papa from 'papaparse';
import { areaAcres } from '../../../../core/ground/shapes/geodesic-area';
import { shapeProblems } from '../../../../core/ground/shapes/check-shape';
import type { Shape } from '../../../../core/ground/shapes/shape';
import type { Prescription, PrescriptionPart } from '../../../../core/schema-types';
import { ActionError } from '../../book/action-error';
import { openZip } from '../map-file/open-zip';
import { xmlText } from '../map-file/xml-text';
import { readMapFile } from '../map-file/read-map-file';
import { rateOfTask } from './task-rate';

/** What a prescription file says; a Shapefile has no place for the rate outside. */
export interface ReadPrescription {
	parts: PrescriptionPart[];
	outside: number | undefined;
}

/**
 * Reads a prescription back from any of the files that are written here.
 * @param unit of the prescription: a task file holds numbers of its own units
 * @throws ActionError in words for the adviser
 */
export async function readPrescription(
	name: string,
	bytes: Uint8Array,
	unit: Prescription['unit']
): Promise<ReadPrescription> {
	const read = await partsIn(name, bytes, unit);
	if (read.parts.length === 0) throw new ActionError(`${name} holds no part with a rate.`);
	const [problem] = read.parts.flatMap(({ shape, zone }) => shapeProblems(shape as Shape, zone));
	if (problem) throw new ActionError(`${name}: ${problem.path} ${problem.message}.`);
	return read;
}

async function partsIn(name: string, bytes: Uint8Array, unit: Prescription['unit']): Promise<ReadPrescription> {
	if (bytes[0] === 0x50 && bytes[1] === 0x4b) {
		const files = openZip(name, bytes);
		const task = Object.keys(files).find((one) => /taskdata\.xml$/i.test(one));
		if (task) return fromTaskData(name, xmlText(name, files[task]!), unit);
	}
	const text = new TextDecoder().decode(bytes.subarray(0, 200));
	if (/<ISO11783_TaskData/i.test(text)) return fromTaskData(name, xmlText(name, bytes), unit);
	if (/^\uFEFF?"?zone"?,/i.test(text)) return fromTable(name, new TextDecoder().decode(bytes));
	const { shapes } = await readMapFile(name, bytes);
	const outside = text.trimStart().startsWith('{')
		? (JSON.parse(new TextDecoder().decode(bytes)) as { outside?: number }).outside
		: undefined;
	return {
		outside,
		parts: shapes.map(({ shape, properties }, at) =>
			part(name, shape, properties.ZONE ?? `Part ${at + 1}`, properties.RATE)
		)
	};
}

function part(name: string, shape: Shape, zone: unknown, given: unknown): PrescriptionPart {
	const rate = typeof given === 'number' ? given : Number(given);
	if (given === undefined || !Number.isFinite(rate) || rate < 0) {
		throw new ActionError(`${name}: ${String(zone)} has no RATE that is a number from 0 (${String(given)}).`);
	}
	return { zone: String(zone).slice(0, 60), rate, areaAcres: Math.round(areaAcres(shape) * 100) / 100, shape };
}

function fromTable(name: string, text: string): ReadPrescription {
	const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: 'greedy' });
	const outside = data.find(({ shape, zone }) => !shape && zone === 'outside');
	return {
		outside: outside ? Number(outside.rate) : undefined,
		parts: data.filter(({ shape }) => shape).map((row) => part(name, shapeOf(name, row.shape!), row.zone, row.rate))
	};
}

/** Well-known text of areas. */
function shapeOf(name: string, text: string): Shape {
	const geometry = geometryIn(name, text);
	if (geometry instanceof Polygon) return { type: 'Polygon', coordinates: geometry.getCoordinates() };
	if (geometry instanceof MultiPolygon) return { type: 'MultiPolygon', coordinates: geometry.getCoordinates() };
	throw new ActionError(`${name}: “${text.slice(0, 40)}” is no POLYGON or MULTIPOLYGON.`);
}

function geometryIn(name: string, text: string): unknown {
	try {
		return new WKT().readGeometry(text);
	} catch {
		throw new ActionError(
			`${name}: “${text.slice(0, 40)}…” is no shape that can be read: look at its brackets and numbers.`
		);
	}
}

type Node = { '@_A'?: string; '@_B'?: string } & Record<string, unknown>;

function fromTaskData(name: string, xml: string, unit: Prescription['unit']): ReadPrescription {
	const valid = XMLValidator.validate(xml);
	if (valid !== true) throw new ActionError(`${name} is a broken task file: line ${valid.err.line}, ${valid.err.msg}`);
	const lists = new Set(['TSK', 'TZN', 'PLN', 'LSG', 'PNT', 'PDV']);
	const parser = new XMLParser({
		ignoreAttributes: false,
		isArray: (tag) => lists.has(tag),
		parseAttributeValue: false
	});
	const document = parser.parse(xml) as { ISO11783_TaskData?: Node };
	const [task] = nodesIn(document.ISO11783_TaskData, 'TSK');
	if (!task) throw new ActionError(`${name} is a task file without a task.`);
	const zones = nodesIn(task, 'TZN');
	const rateOf = (zone: Node) => rateOfTask(Number(nodesIn(zone, 'PDV')[0]?.['@_B']), unit);
	const withGround = zones.filter((zone) => Array.isArray(zone.PLN));
	const outside = zones.find((zone) => !zone.PLN);
	return {
		outside: outside && rateOf(outside),
		parts: withGround.map((zone) => part(name, shapeOfZone(zone), zone['@_B'] ?? `Zone ${zone['@_A']}`, rateOf(zone)))
	};
}

/** The elements of a name in one; the reader makes a list of each name that may repeat. */
function nodesIn(node: Node | undefined, name: string): Node[] {
	const found: unknown = node?.[name];
	return Array.isArray(found) ? found : [];
}

function shapeOfZone(zone: Node): Shape {
	const polygons = nodesIn(zone, 'PLN').map((polygon) =>
		nodesIn(polygon, 'LSG').map((line) =>
			nodesIn(line, 'PNT').map((point): Position => [Number(point['@_D']), Number(point['@_C'])])
		)
	);
	return polygons.length === 1
		? { type: 'Polygon', coordinates: polygons[0]! }
		: { type: 'MultiPolygon', coordinates: polygons };
}
