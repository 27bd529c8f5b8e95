// One season of the shipped request, and 200 seasons of three programmes in a worker. Prints JSON.
import { isMainThread, parentPort } from 'node:worker_threads';
import { readFileSync } from 'node:fs';
import { runSeason } from '../src/core/season/model/run-season';
import type { SeasonRequest } from '../src/core/schema-types';
import { library } from '../src/core/testing.test-help';
import { medianMs } from './median-ms';
import { typescriptWorker } from './typescript-worker';

const SEASONS = 200;
const PROGRAMMES = 3;
const request = JSON.parse(readFileSync('demo/requests/corn-season.json', 'utf8')) as SeasonRequest;
const seasonOf = (seed: number) =>
	runSeason({ ...request, station: { id: 'saltlick-common', seed } }, library).balance.takenUp;

if (isMainThread) {
	let seed = 1;
	const ms = medianMs(100, () => seasonOf(seed++));
	typescriptWorker(import.meta.url).once('message', (times: object) => console.log(JSON.stringify({ ms, ...times })));
} else {
	const start = performance.now();
	let check = 0;
	for (let run = 0; run < SEASONS * PROGRAMMES; run++) check += seasonOf(run % SEASONS);
	parentPort!.postMessage({ manyMs: performance.now() - start, check });
}
