import { XMLBuilder } from 'fast-xml-parser';
import { strToU8, zipSync } from 'fflate';
import { withoutControls } from '../../../../core/check/control-characters';
import { areaM2 } from '../../../../core/ground/shapes/geodesic-area';
import { partsOf, type Shape } from '../../../../core/ground/shapes/shape';
import type { Prescription } from '../../../../core/schema-types';
import { taskRate } from './task-rate';

/** One element of the task file: its name, attributes and children. */
type Element = Record<string, unknown>;

const PARTFIELD_BOUNDARY = 1;
const TREATMENT_ZONE = 2;
const EXTERIOR = 1;
const INTERIOR = 2;
const OTHER_POINT = 2;
const PLANNED = 1;
const OUT_OF_FIELD = 0;

/** The document of a task with treatment zones: ISO 11783-10, version 4, as it was known from memory. */
export function taskDataXml(prescription: Prescription, boundary: Shape | undefined): string {
	const { name, product, parts, outside, field, grower, unit } = prescription;
	const ddi = (rate: number) => {
		const { ddi: code, value } = taskRate(rate, unit);
		return element('PDV', { A: code, B: value, C: 'PDT1' });
	};
	const zone = (code: number, title: string, rate: number, shape?: Shape) =>
		element('TZN', { A: code, B: title.slice(0, 32) }, [ddi(rate), ...(shape ? polygons(shape, TREATMENT_ZONE) : [])]);
	const ground: Shape = boundary ?? {
		type: 'MultiPolygon',
		coordinates: parts.flatMap(({ shape }) => partsOf(shape))
	};
	const area = Math.round(boundary ? areaM2(boundary) : parts.reduce((sum, { shape }) => sum + areaM2(shape), 0));
	const document = element(
		'ISO11783_TaskData',
		{
			VersionMajor: 4,
			VersionMinor: 3,
			ManagementSoftwareManufacturer: 'Cosecha',
			ManagementSoftwareVersion: '1',
			DataTransferOrigin: 1
		},
		[
			element('CTR', { A: 'CTR1', B: grower.slice(0, 32) }),
			element('FRM', { A: 'FRM1', B: grower.slice(0, 32), I: 'CTR1' }),
			element(
				'PFD',
				{ A: 'PFD1', C: field.slice(0, 32), D: area, E: 'CTR1', F: 'FRM1' },
				polygons(ground, PARTFIELD_BOUNDARY)
			),
			element('PDT', { A: 'PDT1', B: product.name.slice(0, 32) }),
			element(
				'TSK',
				{ A: 'TSK1', B: name.slice(0, 32), C: 'CTR1', D: 'FRM1', E: 'PFD1', G: PLANNED, J: OUT_OF_FIELD },
				[
					zone(OUT_OF_FIELD, 'outside', outside),
					...parts.map((part, at) => zone(at + 1, part.zone, part.rate, part.shape))
				]
			)
		]
	);
	const builder = new XMLBuilder({
		ignoreAttributes: false,
		preserveOrder: true,
		format: true,
		suppressEmptyNode: true
	});
	return `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build([document])}`;
}

/** The same in its folder, zipped, as terminals take it. */
export function asTaskData(prescription: Prescription, boundary: Shape | undefined): Uint8Array<ArrayBuffer> {
	const xml = strToU8(taskDataXml(prescription, boundary));
	return new Uint8Array(zipSync({ 'TASKDATA/TASKDATA.XML': xml }));
}

function element(name: string, attributes: Record<string, string | number>, children: Element[] = []): Element {
	const named = Object.entries(attributes).map(([key, value]) => [`@_${key}`, withoutControls(String(value))]);
	return { [name]: children, ':@': Object.fromEntries(named) };
}

/** A polygon for each part: its rings as line strings of points, north before east. */
function polygons(shape: Shape, kind: number): Element[] {
	return partsOf(shape).map((rings) =>
		element(
			'PLN',
			{ A: kind },
			rings.map((ring, at) =>
				element(
					'LSG',
					{ A: at === 0 ? EXTERIOR : INTERIOR },
					ring.map(([x = 0, y = 0]) => element('PNT', { A: OTHER_POINT, C: y, D: x }))
				)
			)
		)
	);
}
