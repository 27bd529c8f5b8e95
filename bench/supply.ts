// A mix of 30 products for 7 nutrients with at most 4 of them, once HiGHS is loaded, and the orders of 500 fields. Prints JSON.
import { solveBlend } from '../src/core/supply/blend/solve-blend';
import { loadSolver } from '../src/core/supply/blend/solver';
import { orderOf, type OpenPass } from '../src/core/supply/order';
import { library } from '../src/core/testing.test-help';
import { medianMs } from './median-ms';

const FIELDS = 500;
const PASSES = 5;
const solver = await loadSolver();
const dry = library.products.filter(({ lime }) => !lime).slice(0, 30);
const products = dry.map(({ id, analysis }, at) => ({ id, analysis, pricePerLb: 0.2 + 0.01 * ((at * 7) % 30) }));
const demand = { N: 100, P2O5: 60, K2O: 90, S: 20, Mg: 12, B: 1, Zn: 5 };
let cost = 0;
let seven = 0;
const fourMs = medianMs(10, () => {
	cost = solveBlend({ products, demand, maxProducts: 4 }, solver).cost ?? 0;
});
const sevenMs = medianMs(10, () => {
	seven = solveBlend({ products, demand, maxProducts: 7 }, solver).cost ?? 0;
});
const open: OpenPass[] = Array.from({ length: FIELDS * PASSES }, (_, at) => ({
	fieldId: `f${at % FIELDS}`,
	field: `Field ${at % FIELDS}`,
	grower: `Grower ${at % 40}`,
	units: 'us',
	acres: 20 + (at % 90),
	pass: {
		product: dry[at % dry.length]!.id,
		rate: 50 + (at % 200),
		unit: 'lb/ac',
		date: '2027-05-01',
		label: 'pass',
		id: 'p',
		placement: 'broadcast',
		reason: ''
	}
}));
let lines = 0;
const orderMs = medianMs(20, () => {
	lines = orderOf(open, library.products).length;
});
console.log(JSON.stringify({ products: products.length, fourMs, cost, sevenMs, seven, orderMs, lines }));
