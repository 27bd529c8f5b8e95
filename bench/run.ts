// `npm run bench`: the speeds that docs/performance.md speaks of, each measured in this run on this machine.
import { execFileSync } from 'node:child_process';

/** Rounds in turn, so that a machine that slows down slows both sides. */
const ROUNDS = 5;
const MOST_ADVISE_MS = 2;
const MOST_SHARE_OF_NUMPY = 0.5;
const MOST_ZONES_MS = 2000;
const MOST_BENT = 0.15;
const LEAST_TIMES_R = 50;
const MOST_BOOTSTRAP_MS = 300;
const MOST_PRICE_MS = 50;
const MOST_BOARD_MS = 50;
const MOST_SEASON_MS = 2;
const MOST_SEASONS_MS = 2000;
const MOST_BLEND_MS = 100;
const MOST_ORDERS_MS = 1000;
const MOST_TRIAL_MS = 200;
const MOST_CELLS_MS = 1500;
const MOST_KRIGE_MS = 2000;
const MOST_PAGE_MS = 300;
const MOST_RESIDENT_MB = 500;
const LEAST_FRAMES = 30;
/** kB over the wire at a first visit, by page. */
const MOST_FIRST_LOAD_KB = { roster: 130, rates: 220, season: 350, zones: 330 };
const MOST_FIRST_PAINT_MS = 400;

function median(values: number[]): number {
	return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
}

/** Runs a bench in a process of its own, as every worker of the app is; it prints milliseconds and a check sum. */
function measure(command: string, ...args: string[]): { ms: number; check: number } {
	const [ms, check] = execFileSync(command, args, { encoding: 'utf8' }).trim().split(' ').map(Number) as [
		number,
		number
	];
	return { ms, check };
}

function report(name: string, value: number, unit: string, limit: number): boolean {
	console.log(`${value <= limit ? 'met   ' : 'MISSED'} ${name}: ${value.toFixed(3)} ${unit} (limit ${limit})`);
	return value <= limit;
}

function reportLeast(name: string, value: number, unit: string, least: number): boolean {
	console.log(`${value >= least ? 'met   ' : 'MISSED'} ${name}: ${value.toFixed(0)} ${unit} (at least ${least})`);
	return value >= least;
}

function benchRaster(): boolean {
	const ours: number[] = [];
	const numpy: number[] = [];
	for (let round = 0; round < ROUNDS; round++) {
		const mine = measure('npx', '--no-install', 'tsx', 'bench/potassium-raster.ts');
		const reference = measure('python3', 'bench/potassium_raster.py');
		if (!(Math.abs(mine.check - reference.check) <= 0.5))
			// so that NaN is a difference too
			throw new Error(`different answers: ${mine.check}, ${reference.check}`);
		ours.push(mine.ms);
		numpy.push(reference.ms);
	}
	console.log(
		`       K rule over 1,000,000 cells: ${median(ours).toFixed(1)} ms; vectorised numpy: ${median(numpy).toFixed(1)} ms`
	);
	return report('K rule against numpy', median(ours) / median(numpy), 'of its time', MOST_SHARE_OF_NUMPY);
}

/** Reading and all rates in one worker: 10,000 zones, and whether time grows as the number of zones does. */
function benchZones(): boolean[] {
	const text = execFileSync('npx', ['--no-install', 'tsx', 'bench/zones.ts'], { encoding: 'utf8' });
	const { times, reports, cancelledAt } = JSON.parse(text) as {
		times: { count: number; ms: number; methods: number }[];
		reports: number;
		cancelledAt?: number;
	};
	for (const { count, ms, methods } of times) {
		console.log(
			`       ${count} zones by ${methods} methods: ${ms.toFixed(0)} ms, ${((ms / count) * 1000).toFixed(0)} us each`
		);
	}
	console.log(`       progress told ${reports} times; cancelled at ${cancelledAt ?? 'nothing'} of 100000 zones`);
	const each = times.map(({ count, ms }) => ms / count);
	const bent = Math.max(...each) / Math.min(...each) - 1;
	return [
		report('10,000 zones, reading and all rates', times[1]!.ms, 'ms', MOST_ZONES_MS),
		report('time for each zone, from 1,000 to 100,000', bent, 'spread', MOST_BENT),
		cancelledAt !== undefined && cancelledAt < 10_000
	];
}

/** Fits of a trial against R's nls on the same plots, in turn, and the bootstrap in a worker. */
function benchFits(): boolean[] {
	const ours: { perSecond: number; check: number; bootstrapMs: number; wholeMs: number }[] = [];
	const theirs: number[] = [];
	for (let round = 0; round < ROUNDS; round++) {
		ours.push(JSON.parse(execFileSync('npx', ['--no-install', 'tsx', 'bench/fits.ts'], { encoding: 'utf8' })));
		const r = measure('Rscript', 'bench/fits.R');
		if (!(Math.abs(r.check / ours[0]!.check - 1) <= 1e-4))
			throw new Error(`different fits: ${r.check}, ${ours[0]!.check}`);
		theirs.push(r.ms);
	}
	const perSecond = median(ours.map((one) => one.perSecond));
	const bootstrap = median(ours.map(({ bootstrapMs }) => bootstrapMs));
	console.log(
		`       quadratic-plateau fits of 28 plots: ${perSecond.toFixed(0)} a second; R's nls: ${median(theirs).toFixed(0)}`
	);
	console.log(
		`       a whole fit with its bootstrap, warm: ${median(ours.map(({ wholeMs }) => wholeMs)).toFixed(0)} ms`
	);
	return [
		reportLeast('fits against nls', perSecond / median(theirs), 'times as many', LEAST_TIMES_R),
		report('2,000 bootstrap fits in a worker', bootstrap, 'ms', MOST_BOOTSTRAP_MS)
	];
}

/** From a key on the price slider to the painted optimum, by a browser trace. */
function benchPrices(): boolean {
	const text = execFileSync('npx', ['--no-install', 'tsx', 'bench/price-slider.ts'], { encoding: 'utf8' });
	const { keys, optima, median: middle, p95, most } = JSON.parse(text) as Record<string, number>;
	console.log(`       ${keys} keys, ${optima} different optima: median ${middle} ms, longest ${most} ms`);
	return report('a price that moves, p95', p95!, 'ms', MOST_PRICE_MS);
}

/** A pass that is moved on the season board, by key and by mouse, by a browser trace. */
function benchBoard(): boolean[] {
	const text = execFileSync('npx', ['--no-install', 'tsx', 'bench/board-drag.ts'], { encoding: 'utf8' });
	const { keys, moves, days, keyMedian, keyP95, moveMedian, moveP95 } = JSON.parse(text) as Record<string, number>;
	console.log(
		`       ${keys} keys and ${moves} moves over ${days} days: medians ${keyMedian!.toFixed(0)} and ${moveMedian!.toFixed(0)} ms`
	);
	return [
		report('a pass moved by key on the board, p95', keyP95!, 'ms', MOST_BOARD_MS),
		report('a pass dragged on the board, p95', moveP95!, 'ms', MOST_BOARD_MS)
	];
}

/** The daily model: one season with its made-up weather, and 200 seasons of three programmes in a worker. */
function benchSeason(): boolean[] {
	const text = execFileSync('npx', ['--no-install', 'tsx', 'bench/season.ts'], { encoding: 'utf8' });
	const { ms, manyMs } = JSON.parse(text) as { ms: number; manyMs: number };
	return [
		report('one season', ms, 'ms median', MOST_SEASON_MS),
		report('200 seasons of three programmes in a worker', manyMs, 'ms', MOST_SEASONS_MS)
	];
}

/** A mix with whole numbers, once HiGHS is loaded, and the orders of 500 fields. */
function benchSupply(): boolean[] {
	const text = execFileSync('npx', ['--no-install', 'tsx', 'bench/supply.ts'], { encoding: 'utf8' });
	const { products, fourMs, sevenMs, orderMs } = JSON.parse(text) as Record<string, number>;
	console.log(`       ${products} products, 7 nutrients, at most 7 products: ${sevenMs!.toFixed(0)} ms`);
	return [
		report('30 products, 7 nutrients, at most 4 products', fourMs!, 'ms median', MOST_BLEND_MS),
		report('orders of 500 fields', orderMs!, 'ms median', MOST_ORDERS_MS)
	];
}

/** Rates over a million cells and a kriged surface, in a worker. */
function benchGround(): boolean[] {
	const text = execFileSync('npx', ['--no-install', 'tsx', 'bench/ground.ts'], { encoding: 'utf8' });
	const { methods, given, rateMs, krigeMs, krigedCells } = JSON.parse(text) as {
		methods: string[];
		given: number;
		rateMs: number;
		krigeMs: number;
		krigedCells: number;
	};
	console.log(
		`       ${given} of ${methods.length} methods gave rates; kriged from 200 points to ${krigedCells} cells`
	);
	return [
		report('five nutrients over 1,000,000 cells in a worker', rateMs, 'ms median', MOST_CELLS_MS),
		report('kriging 200 points to 100,000 cells', krigeMs, 'ms median', MOST_KRIGE_MS)
	];
}

/** A book of 2,000 fields and 10,000 zones: pages, memory, and the map in a browser. */
function benchBigBook(): boolean[] {
	const text = execFileSync('npx', ['--no-install', 'tsx', 'bench/big-book.ts'], { encoding: 'utf8' });
	const { fields, zones, times, residentMb, framesPerSecond } = JSON.parse(text) as {
		fields: number;
		zones: number;
		times: Record<string, number>;
		residentMb: number;
		framesPerSecond: number;
	};
	const [slowest, ms] = Object.entries(times).sort((a, b) => b[1] - a[1])[0]!;
	console.log(
		`       ${fields} fields, ${zones} zones; the slowest of ${Object.keys(times).length} pages is ${slowest}`
	);
	return [
		report('each page of a large book', ms, 'ms median', MOST_PAGE_MS),
		report('resident memory of its server', residentMb, 'MB', MOST_RESIDENT_MB),
		reportLeast('panning the map of all its fields', framesPerSecond, 'frames a second', LEAST_FRAMES)
	];
}

function benchFirstLoad(): boolean[] {
	const text = execFileSync('npx', ['--no-install', 'tsx', 'bench/first-load.ts'], { encoding: 'utf8' });
	const loads = JSON.parse(text) as Record<keyof typeof MOST_FIRST_LOAD_KB, { kb: number; firstPaintMs: number }>;
	return (['roster', 'rates', 'season', 'zones'] as const).flatMap((page) => [
		report(`first load of ${page}`, loads[page].kb, 'kB', MOST_FIRST_LOAD_KB[page]),
		report(`first paint of ${page}`, loads[page].firstPaintMs, 'ms', MOST_FIRST_PAINT_MS)
	]);
}

const advise = measure('npx', '--no-install', 'tsx', 'bench/advise.ts');
const trial = measure('npx', '--no-install', 'tsx', 'bench/trials.ts');
const met = [
	report('one advise with all methods', advise.ms, 'ms median', MOST_ADVISE_MS),
	benchRaster(),
	...benchZones(),
	...benchFits(),
	benchPrices(),
	...benchBoard(),
	...benchSeason(),
	...benchSupply(),
	report('a split plot of 2,520 plots', trial.ms, 'ms median', MOST_TRIAL_MS),
	...benchGround(),
	...benchBigBook(),
	...benchFirstLoad()
];
process.exitCode = met.every(Boolean) ? 0 : 1;
