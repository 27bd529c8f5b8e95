// Quadratic-plateau fits of the 28 plots of a shipped trial, as many a second as one thread makes, and the bootstrap of
// its optimum in a worker. Prints JSON.
import { isMainThread, parentPort } from 'node:worker_threads';
import { readFileSync } from 'node:fs';
import { readObservations } from '../src/core/rates/nitrogen/response/read-observations';
import { fitTrial } from '../src/core/rates/nitrogen/response/answer-fit';
import { withoutBlocks } from '../src/core/rates/nitrogen/response/block-term';
import { bootstrapOptimum } from '../src/core/rates/nitrogen/response/bootstrap';
import { rateMeans } from '../src/core/rates/nitrogen/response/rate-means';
import { responseModel } from '../src/core/rates/nitrogen/response/shapes/models';
import { typescriptWorker } from './typescript-worker';

const SECONDS = 1;
const REPLICATES = 2000;
const { observations } = readObservations(readFileSync('demo/trials/corn-after-soybean.csv', 'utf8'));
const model = responseModel('quadratic-plateau');

/** From the plots themselves each time, as R does. */
function fitsPerSecond(): { perSecond: number; check: number } {
	const out = new Float64Array(3);
	let fits = 0;
	const start = performance.now();
	while (performance.now() - start < SECONDS * 1000) {
		for (let at = 0; at < 200; at++, fits++) model.fit(rateMeans(observations), out);
	}
	return { perSecond: fits / ((performance.now() - start) / 1000), check: out[2]! };
}

/** Milliseconds of the bootstrap alone, and of the whole fit with it. */
function timeBootstrap(): { bootstrapMs: number; wholeMs: number } {
	const { observations: unblocked, freedom } = withoutBlocks(observations);
	const start = performance.now();
	const steps = bootstrapOptimum(unblocked, freedom, undefined, 0.1348, REPLICATES, 1);
	while (!steps.next().done);
	const bootstrapMs = performance.now() - start;
	const whole = performance.now();
	fitTrial({ observations, priceRatio: 0.1348, replicates: REPLICATES });
	return { bootstrapMs, wholeMs: performance.now() - whole };
}

if (isMainThread) {
	fitsPerSecond();
	const { perSecond, check } = fitsPerSecond();
	const worker = typescriptWorker(import.meta.url);
	worker.once('message', (times: object) => console.log(JSON.stringify({ perSecond, check, ...times })));
} else {
	// The first run is the one that an adviser waits for: nothing is warm yet.
	parentPort!.postMessage(timeBootstrap());
}
