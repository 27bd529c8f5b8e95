import { messageOf } from '../../../../core/check/message-of';
import type { GeoTIFFImage } from 'geotiff';
import proj4 from 'proj4';
import { ActionError } from '../../book/action-error';
import { MOST_POINTS, type MapContent } from './map-content';

/** A raster may be read up to so many cells: unpacked it stays in memory. */
const MOST_READ = 16_000_000;

/** The cells of a GeoTIFF as points: each band a column; cells without data are left out. Large ones are read in every n-th cell. */
export async function readGeoTiff(name: string, bytes: Uint8Array): Promise<MapContent> {
	try {
		// Loaded when it is first needed: its workers cannot start inside the build's own.
		const { fromArrayBuffer } = await import('geotiff');
		const file = await fromArrayBuffer(bytes.slice().buffer);
		const image = await file.getImage();
		const [width, height, bands] = [image.getWidth(), image.getHeight(), image.getSamplesPerPixel()];
		if (width * height * bands > MOST_READ) {
			throw new ActionError(`${name} has ${width} x ${height} cells; cut out the field first.`);
		}
		const toDegrees = projectionOf(name, image.getGeoKeys());
		const placeOf = await placement(image);
		const rasters = (await image.readRasters()) as ArrayLike<number>[];
		const noData = image.getGDALNoData();
		const every = Math.max(1, Math.ceil(Math.sqrt((width * height) / MOST_POINTS)));
		const columns = Array.from({ length: bands }, (_, band) => `band ${band + 1}`);
		const points: MapContent['points'] = [];
		for (let row = 0; row < height; row += every) {
			for (let column = 0; column < width; column += every) {
				const values: Record<string, number> = {};
				columns.forEach((band, at) => {
					const value = rasters[at]![row * width + column]!;
					if (Number.isFinite(value) && value !== noData) values[band] = value;
				});
				if (Object.keys(values).length === 0) continue;
				const position = toDegrees(placeOf(column + 0.5, row + 0.5));
				points.push({ position, values, words: {} });
			}
		}
		if (points.length === 0) throw new ActionError(`${name} holds no cell with data.`);
		const notes = every > 1 ? [`Every ${every}th cell of ${width} x ${height} was read.`] : [];
		return { shapes: [], points, columns, notes };
	} catch (error) {
		if (error instanceof ActionError) throw error;
		throw new ActionError(`${name} is no GeoTIFF that can be read: ${messageOf(error)}`);
	}
}

/** Where a cell lies: by the matrix that the file gives, which may turn rows about, else by corner and size of a cell. */
async function placement(image: GeoTIFFImage): Promise<(column: number, row: number) => [number, number]> {
	const matrix = image.fileDirectory.hasTag('ModelTransformation')
		? await image.fileDirectory.loadValue('ModelTransformation')
		: undefined;
	if (matrix) {
		const [a = NaN, b = NaN, , c = NaN, d = NaN, e = NaN, , f = NaN] = matrix;
		return (column, row) => [a * column + b * row + c, d * column + e * row + f];
	}
	const [originX = NaN, originY = NaN] = image.getOrigin();
	const [stepX = NaN, stepY = NaN] = image.getResolution();
	return (column, row) => [originX + column * stepX, originY + row * stepY];
}

/** Degrees for a file in WGS 84 or a UTM zone of it. */
function projectionOf(
	name: string,
	keys: Record<string, number> | null
): (place: [number, number]) => [number, number] {
	const code = keys?.ProjectedCSTypeGeoKey ?? keys?.GeographicTypeGeoKey;
	if (code === 4326) return (place) => place;
	const utm = code === undefined ? null : /^32([67])(\d\d)$/.exec(String(code));
	if (!utm) {
		throw new ActionError(
			`${name} is in ${code === undefined ? 'no projection that it names' : `EPSG:${code}`}; WGS 84 (EPSG:4326) and its UTM zones are read. Export it so.`
		);
	}
	const transform = proj4(`+proj=utm +zone=${Number(utm[2])}${utm[1] === '7' ? ' +south' : ''} +datum=WGS84`, 'WGS84');
	return (place) => transform.forward(place);
}
