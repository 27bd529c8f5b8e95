// A made-up monitor: drives a prescription in swaths and logs what a machine with some lag and noise puts on.
//   npx tsx demo/monitor.ts prescription.geojson > as-applied.csv
// Takes GeoJSON, a zipped Shapefile, task data or CSV as they are written under Map and zones.
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { insideTest } from '../src/core/ground/shapes/inside';
import { planeAt } from '../src/core/ground/shapes/local-plane';
import { boundsOf, type Shape } from '../src/core/ground/shapes/shape';
import { readPrescription } from '../src/lib/server/files/prescription-file/read-prescription';

const SWATH_M = 12;
const STEP_M = 6;
/** The rate follows the set one by this share from point to point. */
const FOLLOWS = 0.6;
const NOISE = 0.04;

const [file, unit = 'lb/ac', seedText = '7'] = process.argv.slice(2);
if (!file || !['lb/ac', 'short ton/ac', 'gal/ac'].includes(unit)) {
	console.error('monitor <prescription file> [lb/ac | short ton/ac | gal/ac] [seed]');
	process.exit(2);
}
let seed = Number(seedText) || 7;
const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647;

const bytes = new Uint8Array(readFileSync(file));
const { parts, outside = 0 } = await readPrescription(path.basename(file), bytes, unit as 'lb/ac').catch(
	(error: Error) => {
		console.error(error.message);
		process.exit(2);
	}
);
const shapes = parts.map(({ shape, rate }) => ({ rate, holds: insideTest(shape as Shape) }));
const [west, south, east, north] = boundsOf(parts.map(({ shape }) => shape as Shape))!;
const plane = planeAt((west + east) / 2, (south + north) / 2);
const [left, bottom] = plane.toMetres([west, south]);
const [right, top] = plane.toMetres([east, north]);

console.log('longitude,latitude,rate,unit');
let now = outside;
for (let swath = 0; bottom + (swath + 0.5) * SWATH_M < top; swath++) {
	const y = bottom + (swath + 0.5) * SWATH_M;
	for (let at = 0; at * STEP_M <= right - left; at++) {
		const x = swath % 2 === 0 ? left + at * STEP_M : right - at * STEP_M;
		const place = plane.toDegrees(x, y);
		const part = shapes.find(({ holds }) => holds(place));
		if (!part) continue;
		now += (part.rate - now) * FOLLOWS;
		const logged = Math.max(0, now * (1 + (chance() + chance() - 1) * 2 * NOISE));
		console.log(`${place[0].toFixed(7)},${place[1].toFixed(7)},${logged.toFixed(2)},${unit}`);
	}
}
