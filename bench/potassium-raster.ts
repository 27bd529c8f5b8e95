// The K rule of 1995 over a raster, into a typed array, as a worker does it. Prints ms and the mean rate in lb/ac.
import { noNumbers } from '../src/core/packs/rule-kind';
import { library } from '../src/core/testing.test-help';
import { medianMs } from './median-ms';

const CELLS = 1_000_000;
const rule = library.packs.rules.find(({ method }) => method === 'tri-state-1995/potassium')!.forCrop('corn-grain')!;

let seed = 1;
const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
const uniform = (low: number, high: number) =>
	Float64Array.from({ length: CELLS }, () => low + (high - low) * chance());
const soilTest = uniform(40, 260);
const cec = uniform(5, 30);
const yieldGoal = uniform(80, 240);
const rates = new Float64Array(CELLS);
const numbers = noNumbers();
numbers.residueShare = 0; // grain only: the straw stays

const ms = medianMs(15, () => {
	for (let cell = 0; cell < CELLS; cell++) {
		numbers.soilTest = soilTest[cell]!;
		numbers.cec = cec[cell]!;
		numbers.yieldGoal = yieldGoal[cell]!;
		rates[cell] = rule.evaluate(numbers);
	}
});
console.log(ms, rates.reduce((sum, rate) => sum + rate, 0) / CELLS);
