import { messageOf } from '../../../../core/check/message-of';
import { combine, parseDbf, parseShp } from 'shpjs';
import type { FeatureCollection } from 'geojson';
import { ActionError } from '../../book/action-error';
import { checkShapes, checkTable } from './check-shapefile';
import { contentOf } from './content-of-geojson';
import type { MapContent } from './map-content';

/** A Shapefile out of its zip, put into WGS 84 by its .prj; without one it must be in degrees already. */
export function readShapefile(name: string, shp: string, files: Record<string, Uint8Array>): MapContent {
	const part = (ending: string) => {
		const wanted = shp.slice(0, -4).toLowerCase() + ending;
		const found = Object.keys(files).find((one) => one.toLowerCase() === wanted);
		return found === undefined ? undefined : files[found];
	};
	const dbf = part('.dbf');
	const prj = part('.prj');
	checkShapes(name, files[shp]!);
	if (dbf) checkTable(name, dbf);
	let read: FeatureCollection;
	try {
		const geometries = parseShp(buffer(files[shp]!), prj && new TextDecoder().decode(prj));
		const rows = dbf ? parseDbf(buffer(dbf), buffer(part('.cpg') ?? new Uint8Array())) : undefined;
		read = combine([geometries, rows] as unknown as Parameters<typeof combine>[0]);
	} catch (error) {
		throw new ActionError(`${name}: the Shapefile in it cannot be read (${messageOf(error)}). Export it again.`);
	}
	const content = contentOf(name, read);
	if (prj) return content;
	return { ...content, notes: [...content.notes, 'It came without a .prj; its coordinates were taken as WGS 84.'] };
}

function buffer(bytes: Uint8Array): ArrayBuffer {
	return bytes.slice().buffer;
}
