// Rates of five nutrients over a million cells in a worker, and kriging from 200 points to 100,000 cells. Prints JSON.
import { isMainThread, parentPort } from 'node:worker_threads';
import { cornRequest, library } from '../src/core/testing.test-help';
import { gridOf } from '../src/core/zones/surface/field-grid';
import { rateSurface } from '../src/core/zones/surface/rate-surface';
import type { CellValues } from '../src/core/zones/surface/regions';
import { surfaceOf } from '../src/core/zones/surface/surface';
import { medianMs } from './median-ms';
import { typescriptWorker } from './typescript-worker';

const CELLS = 1_000_000;
const METHODS = ['nitrogen', 'phosphorus', 'potassium', 'lime', 'sulfur'];
const POINTS = 200;

if (isMainThread) {
	typescriptWorker(import.meta.url).once('message', (times: object) => console.log(JSON.stringify(times)));
} else {
	let seed = 1;
	const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
	const uniform = (low: number, high: number) =>
		Float64Array.from({ length: CELLS }, () => low + (high - low) * chance());
	const cells: CellValues = {
		P: uniform(4, 60),
		K: uniform(40, 260),
		pH: uniform(5, 7),
		bufferPh: uniform(6, 7),
		CEC: uniform(5, 30),
		yieldGoal: uniform(80, 240)
	};
	const request = { ...cornRequest(), nitrogenRate: 150 };
	const methods = METHODS.map((name) => {
		const found = library.packs.rules.find(
			({ method }) => method.startsWith('tri-state-1995/') && method.includes(name)
		);
		return (found ?? library.packs.rules.find(({ method }) => method.includes(name)))!.method;
	});
	let given = 0;
	const rateMs = medianMs(5, () => {
		given = 0;
		for (const method of methods) {
			const rates = rateSurface(request, method, cells, library, '2026-11-23');
			if (typeof rates === 'string') throw new Error(rates);
			if (!Number.isNaN(rates[0])) given++;
		}
	});
	const side = 0.012;
	const grid = gridOf(
		{
			type: 'Polygon',
			coordinates: [
				[
					[-35, 41],
					[-35 + side, 41],
					[-35 + side, 41 + side * 0.75],
					[-35, 41 + side * 0.75],
					[-35, 41]
				]
			]
		},
		3.15
	);
	const points = Array.from({ length: POINTS }, () => {
		const [x, y] = [-35 + side * chance(), 41 + side * 0.75 * chance()];
		return [x, y, 20 + 900 * (x + 35) + 500 * (y - 41) + chance()] as const;
	});
	const krigedCells = grid.inside.reduce((sum, one) => sum + one, 0);
	const krigeMs = medianMs(3, () => {
		const surface = surfaceOf(points, grid, 'kriging');
		if (typeof surface === 'string') throw new Error(surface);
	});
	parentPort!.postMessage({ methods, given, rateMs, krigeMs, krigedCells });
}
