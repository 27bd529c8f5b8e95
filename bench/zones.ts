// Reading and all rates of made-up zones in one worker thread, with progress and cancel. Prints JSON.
import { isMainThread, parentPort, workerData } from 'node:worker_threads';
import { setImmediate } from 'node:timers/promises';
import { ratesOfMany } from '../src/core/rates/rates-of-many';
import type { AdviseRequest } from '../src/core/schema-types';
import { cornRequest, library } from '../src/core/testing.test-help';
import { typescriptWorker } from './typescript-worker';

/** Zones that differ in every value, made as they are asked for, so that memory does not grow with their number. */
function* zones(count: number): Generator<AdviseRequest> {
	let seed = 7;
	const between = (low: number, high: number) => {
		seed = (seed * 16807) % 2147483647;
		return low + ((high - low) * seed) / 2147483647;
	};
	const base = cornRequest();
	for (let zone = 0; zone < count; zone++) {
		yield {
			...base,
			nitrogenRate: between(60, 200),
			crop: { ...base.crop, yieldGoal: between(100, 240) },
			sample: {
				date: '2026-10-12',
				layers: [
					{
						top: 0,
						bottom: 8,
						depthUnit: 'in',
						results: [
							{ analyte: 'pH', method: 'water', value: between(5, 7.2), unit: 'pH' },
							{ analyte: 'bufferPh', method: 'smp', value: between(6, 7), unit: 'pH' },
							{ analyte: 'P', method: 'bray-p1', value: between(4, 60), unit: 'ppm' },
							{ analyte: 'K', method: 'ammonium-acetate', value: between(60, 260), unit: 'ppm' },
							{ analyte: 'Ca', method: 'ammonium-acetate', value: between(600, 3000), unit: 'ppm' },
							{ analyte: 'Mg', method: 'ammonium-acetate', value: between(60, 500), unit: 'ppm' },
							{ analyte: 'CEC', value: between(5, 28), unit: 'meq/100g' },
							{ analyte: 'OM', value: between(1, 5), unit: '%' },
							{ analyte: 'clay', value: between(5, 40), unit: '%' },
							{ analyte: 'Zn', method: 'dtpa', value: between(0.3, 3), unit: 'ppm' }
						]
					},
					{
						top: 0,
						bottom: 24,
						depthUnit: 'in',
						results: [
							{ analyte: 'NO3-N', value: between(1, 15), unit: 'ppm' },
							{ analyte: 'SO4-S', value: between(1, 10), unit: 'ppm' }
						]
					}
				]
			}
		};
	}
}

/** Warms up, then runs each number of zones in turn; or is cancelled by a message. */
async function work(counts: number[]): Promise<void> {
	let cancelled = false;
	parentPort!.on('message', () => (cancelled = true));
	for (const count of [20_000, 20_000, ...counts]) {
		const run = ratesOfMany(zones(count), count, library, '2026-11-20');
		const start = performance.now();
		for (;;) {
			const step = run.next();
			if (step.done) {
				const { methods, rates } = step.value;
				const given = rates.reduce((sum, rate) => sum + (Number.isNaN(rate) ? 0 : 1), 0);
				parentPort!.postMessage({ count, ms: performance.now() - start, methods: methods.length, given });
				break;
			}
			parentPort!.postMessage({ count, done: step.value.done });
			await setImmediate();
			if (cancelled) return finish({ cancelledAt: step.value.done, asked: count });
		}
	}
	finish({});
}

function finish(how: object): void {
	parentPort!.postMessage({ finished: how });
	parentPort!.close();
}

interface Run {
	count: number;
	ms: number;
	methods: number;
	given: number;
}

/** Runs in one worker thread; gives back every timed run and how often it told its progress. */
function inWorker(counts: number[], cancelAt = Infinity) {
	const worker = typescriptWorker(import.meta.url, { workerData: counts });
	const runs: Run[] = [];
	let reports = 0;
	return new Promise<{ runs: Run[]; reports: number; finished: { cancelledAt?: number } }>((resolve, reject) => {
		worker.on('error', reject);
		worker.on('message', (message: Partial<Run> & { done?: number; finished?: { cancelledAt?: number } }) => {
			if (message.finished) resolve({ runs, reports, finished: message.finished });
			else if (message.ms !== undefined) runs.push(message as Run);
			else {
				reports++;
				if (message.count! >= 100_000 && message.done! >= cancelAt) worker.postMessage('cancel');
			}
		});
	});
}

if (isMainThread) {
	// As many zones in short runs as in long ones, before and after each other, so that the machine's moods even out.
	const short = Array.from({ length: 10 }, () => [10_000, ...Array<number>(10).fill(1_000)]).flat();
	const { runs } = await inWorker([100_000, ...short, 100_000]);
	const mean = (count: number): Run => {
		const own = runs.filter((run) => run.count === count);
		return { ...own[0]!, ms: own.reduce((sum, { ms }) => sum + ms, 0) / own.length };
	};
	const { finished, reports } = await inWorker([100_000], 2_000);
	const times = [1_000, 10_000, 100_000].map(mean);
	console.log(JSON.stringify({ times, reports, cancelledAt: finished.cancelledAt }));
} else {
	await work(workerData as number[]);
}
