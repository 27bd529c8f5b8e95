import { ActionError } from '../../book/action-error';

/** How a .dbf begins: its rows, and the bytes of its header and of each row. */
const DBF = { rows: 4, header: 8, row: 10, least: 32 } as const;

/**
 * Its reader goes by the number of rows that is written at the start, whether they are there or not.
 * @throws ActionError where the rows cannot be there
 */
export function checkTable(name: string, dbf: Uint8Array): void {
	const view = viewOf(dbf);
	if (dbf.length < DBF.least) throw new ActionError(`${name}: the .dbf in it is cut off. Export it again.`);
	const rows = view.getUint32(DBF.rows, true);
	// Each row has a byte at the least, which says whether it is deleted.
	const rowBytes = Math.max(1, view.getUint16(DBF.row, true));
	if (rows * rowBytes <= dbf.length - view.getUint16(DBF.header, true)) return;
	throw new ActionError(
		`${name}: the .dbf in it says that it has ${rows.toLocaleString('en-US')} rows and is too short for them. Export it again.`
	);
}

/** A .shp by the ESRI Shapefile Technical Description (1998): a header, then records of a head and a shape. */
const SHP = { kind: 32, header: 100, head: 8, length: 4, counts: 36, place: 16, part: 4 } as const;
/** Shapes with lists of places, flat, with measures and with heights: in parts, or loose. */
const IN_PARTS = [3, 5, 13, 15, 23, 25];
const LOOSE = [8, 18, 28];

/**
 * Its reader makes room for as many parts and places as a shape says it has.
 * @throws ActionError where a shape says that it has more than are in the file
 */
export function checkShapes(name: string, shp: Uint8Array): void {
	const view = viewOf(shp);
	if (shp.length < SHP.header) throw new ActionError(`${name}: the .shp in it is cut off. Export it again.`);
	const kind = view.getInt32(SHP.kind, true);
	const inParts = IN_PARTS.includes(kind);
	const countBytes = inParts ? 8 : 4;
	if (!inParts && !LOOSE.includes(kind)) return;
	for (let at: number = SHP.header, shape = 1; at + SHP.head + 4 <= shp.length; shape++) {
		const start = at + SHP.head;
		// In words of two bytes; a length below nothing would never come to an end.
		const end = start + 2 * view.getInt32(at + SHP.length);
		if (end < start || end > shp.length) throw broken(name, shape);
		const lists = start + SHP.counts + countBytes;
		// A shape of type 0 holds nothing.
		if (end > start && view.getInt32(start, true) !== 0) {
			if (lists > end) throw broken(name, shape);
			const parts = inParts ? view.getUint32(lists - 8, true) : 0;
			if (lists + parts * SHP.part + view.getUint32(lists - 4, true) * SHP.place > end) throw broken(name, shape);
		}
		at = end;
	}
}

function broken(name: string, shape: number): ActionError {
	return new ActionError(`${name}: shape ${shape} of the .shp in it is cut off or broken. Export it again.`);
}

function viewOf({ buffer, byteOffset, byteLength }: Uint8Array): DataView {
	return new DataView(buffer, byteOffset, byteLength);
}
