import Papa from 'papaparse';
import { ActionError } from '../../book/action-error';
import { toldDelimiter } from '../../../../core/check/csv-lines';
import { columnsOf } from './content-of-geojson';
import { MOST_POINTS, type MapContent } from './map-content';

const LONGITUDE = /^(lon|long|lng|longitude|x)\b/i;
const LATITUDE = /^(lat|latitude|y)\b/i;

/**
 * Points of a CSV file with longitude and latitude in degrees: a monitor's log, a sensor's, or the cells of a grid.
 * Rows without a place are left out and told.
 */
export function readPointCsv(name: string, text: string): MapContent {
	const { delimiter, table } = toldDelimiter(text);
	const { data, meta } = Papa.parse<Record<string, string>>(table, {
		header: true,
		skipEmptyLines: 'greedy',
		...(delimiter === undefined ? {} : { delimiter })
	});
	const heads = (meta.fields ?? []).map((head) => head.trim());
	const longitude = meta.fields?.find((head) => LONGITUDE.test(head.trim()));
	const latitude = meta.fields?.find((head) => LATITUDE.test(head.trim()));
	if (longitude === undefined || latitude === undefined) {
		throw new ActionError(
			`${name} has no columns for longitude and latitude (${heads.slice(0, 8).join(', ') || 'no header'}). Name them “longitude” and “latitude”, in degrees.`
		);
	}
	if (data.length > MOST_POINTS) {
		throw new ActionError(`${name} has ${data.length} rows; at most ${MOST_POINTS} are read. Cut out the field first.`);
	}
	const points: MapContent['points'] = [];
	let without = 0;
	for (const [at, row] of data.entries()) {
		const beyond = cellsBeyond(row);
		if (beyond !== undefined) {
			throw new ActionError(
				`${name}, line ${at + 2} has more cells than the header: “${beyond}” stands under none. Look for a comma too many.`
			);
		}
		const x = numberIn(row[longitude]);
		const y = numberIn(row[latitude]);
		if (x === undefined || y === undefined) {
			without++;
			continue;
		}
		if (Math.abs(x) > 180 || Math.abs(y) > 90) {
			throw new ActionError(
				`${name}, line ${at + 2}: ${x}, ${y} is no longitude and latitude in degrees. Export it in WGS 84 (EPSG:4326).`
			);
		}
		points.push({ position: [x, y], ...cellsOf(row, [longitude, latitude]) });
	}
	if (points.length === 0) throw new ActionError(`${name} has no row with a longitude and a latitude.`);
	const notes = without > 0 ? [`${without} rows without a place were left out.`] : [];
	return { shapes: [], points, columns: columnsOf(points), notes };
}

/** Where the parser puts the cells that stand under no header. */
const BEYOND = '__parsed_extra';

/** What stands in a row beyond the last header; spreadsheets pad rows with empty cells, which say nothing. */
function cellsBeyond(row: Record<string, unknown>): string | undefined {
	const extra = row[BEYOND];
	return Array.isArray(extra) ? extra.map(String).find((cell) => cell.trim() !== '') : undefined;
}

function cellsOf(
	row: Record<string, string>,
	places: readonly string[]
): Pick<MapContent['points'][number], 'values' | 'words'> {
	const values: Record<string, number> = {};
	const words: Record<string, string> = {};
	for (const key in row) {
		if (places.includes(key) || key === BEYOND) continue;
		const value = numberIn(row[key]);
		if (value !== undefined) values[key.trim()] = value;
		else if (row[key]?.trim()) words[key.trim()] = row[key].trim();
	}
	return { values, words };
}

function numberIn(text: string | undefined): number | undefined {
	const trimmed = text?.trim();
	if (!trimmed) return undefined;
	const value = Number(trimmed);
	return Number.isFinite(value) ? value : undefined;
}
