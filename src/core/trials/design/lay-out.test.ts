import { describe, expect, it } from 'vitest';
import { InputError } from '../../check/problem';
import { areaM2 } from '../../ground/shapes/geodesic-area';
import type { Shape } from '../../ground/shapes/shape';
import type { TrialPlan, TrialPlot } from '../../schema-types';
import { cutByField } from '../../zones/shapes/cut-by-field';
import { ELL, fieldOf, QUARTER, RATES } from '../trial.test-help';
import { driveFrame, usualHeading } from './drive-frame';
import { layOut } from './lay-out';
import { placeOfPlot } from './plot-number';

const inside = (plot: TrialPlot, field: Shape) => areaM2(cutByField(plot.shape, field)!) / areaM2(plot.shape);
const overlap = (one: TrialPlot, other: TrialPlot) => {
	const common = cutByField(one.shape, other.shape);
	return common ? areaM2(common) / areaM2(one.shape) : 0;
};
const problemsOf = (plan: TrialPlan, field: Shape = QUARTER) => {
	try {
		layOut(plan, field);
	} catch (error) {
		if (error instanceof InputError) return error.problems.map(({ path, message }) => `${path} ${message}`);
		throw error;
	}
	return [];
};

describe('six rates in four blocks', () => {
	const plots = layOut(RATES, QUARTER);
	it('are 24 plots of 60 by 600 ft, each treatment once in a block, numbered by block and place', () => {
		expect(plots.map(({ plot }) => plot)).toEqual(
			[1, 2, 3, 4].flatMap((block) => [1, 2, 3, 4, 5, 6].map((at) => block * 100 + at))
		);
		for (const { areaAcres } of plots) expect(Math.abs(areaAcres / ((60 * 600) / 43560) - 1)).toBeLessThan(0.003);
		for (const block of [1, 2, 3, 4]) {
			const own = plots.filter((plot) => plot.block === block).map(({ levels }) => levels['N rate']);
			expect(own.toSorted()).toEqual(['0', '120', '150', '180', '240', '60']);
		}
	});
	it('their order is drawn by the seed: the same again, another for another, and never one order in all blocks', () => {
		const orderOf = (plan: TrialPlan) => layOut(plan, QUARTER).map(({ levels }) => levels['N rate']);
		expect(orderOf(RATES)).toEqual(orderOf({ ...RATES }));
		expect(orderOf({ ...RATES, seed: 8 })).not.toEqual(orderOf(RATES));
		const pair: TrialPlan = {
			...RATES,
			design: 'paired',
			factors: [{ name: 'Inhibitor', levels: ['with', 'without'] }],
			usual: 'without',
			blocks: 2
		};
		for (let seed = 1; seed <= 60; seed++) {
			const [first, , second] = layOut({ ...pair, seed }, QUARTER);
			expect(first!.levels).not.toEqual(second!.levels);
		}
	});
	it('lie wholly inside, off the headland, and on no other plot, whichever way the field is driven', () => {
		for (const headingDegrees of [0, 23, 45, 90, 137]) {
			const turned = layOut({ ...RATES, headingDegrees }, ELL);
			for (const plot of turned) {
				expect(inside(plot, ELL), `${headingDegrees} ${plot.plot}`).toBeGreaterThan(0.9995);
				for (const other of turned) if (other.plot > plot.plot) expect(overlap(plot, other)).toBeLessThan(0.001);
			}
		}
		const north = driveFrame(QUARTER, 0);
		const alongs = plots.flatMap(({ shape }) => cornersOf(shape)).map((corner) => north.toFrame(corner)[1]);
		expect(Math.min(...alongs)).toBeGreaterThan((-1320 + 79) * 0.3048);
	});
	it('without a length take the longest strips that the field has', () => {
		const full = { ...RATES, blocks: 2 };
		delete full.lengthFt;
		const strips = layOut(full, ELL);
		for (const { areaAcres } of strips) expect(areaAcres).toBeCloseTo((60 * (2640 - 160)) / 43560, 1);
	});
	it('that do not fit say how many do, and how long they may be', () => {
		const small = fieldOf([0, 0], [800, 0], [800, 1300], [0, 1300]);
		expect(problemsOf(RATES, small)).toEqual([
			'/plan/blocks must fit: only 2 of 4 blocks, each 360 ft wide and 600 ft long, do. Plots of 560 ft would.'
		]);
		expect(problemsOf({ ...RATES, blocks: 12 }, small)[0]).toMatch(/only 2 of 12 .* Plots of 180 ft would\.$/);
		expect(problemsOf(RATES, fieldOf([0, 0], [300, 0], [300, 900], [0, 900]))[0]).toMatch(
			/only 0 of 4.*Take fewer treatments/
		);
	});
});

it('small plots on a large field lie together about its middle, or about a spot, and are found at once', () => {
	const section = fieldOf([0, 0], [5280, 0], [5280, 5280], [0, 5280]);
	const small: TrialPlan = { ...RATES, widthFt: 60, lengthFt: 40, blocks: 12, headlandFt: 0 };
	const wide = (plan: TrialPlan) => {
		const frame = driveFrame(section, 0);
		const across = layOut(plan, section).flatMap(({ shape }) =>
			cornersOf(shape).map((corner) => frame.toFrame(corner))
		);
		const ends = (at: 0 | 1) =>
			[Math.min(...across.map((one) => one[at])), Math.max(...across.map((one) => one[at]))] as const;
		return [ends(0), ends(1)] as const;
	};
	const [[left, right], [from, to]] = wide(small);
	expect(right - left).toBeLessThan(800 * 0.3048);
	expect(to - from).toBeLessThan(500 * 0.3048);
	const corner = driveFrame(section, 0).toDegrees(700, 700);
	const [[nearLeft], [nearFrom]] = wide({ ...small, near: corner });
	expect(nearLeft).toBeGreaterThan(left + 300);
	expect(nearFrom).toBeGreaterThan(from + 300);
});

function cornersOf(shape: Shape) {
	return shape.type === 'Polygon' ? shape.coordinates[0]! : shape.coordinates[0]![0]!;
}

describe('a plan that does not hold together is refused', () => {
	it.each([
		[
			'plots narrower than the header',
			{ headerFt: 90, passFt: 30 },
			'/plan/widthFt must be at least the header’s 90 ft; at 60 ft'
		],
		['or than the spreader', { passFt: 90 }, '/plan/widthFt must be at least the spreader’s 90 ft'],
		[
			'a strip trial in several blocks',
			{ design: 'unreplicated' as const },
			'/plan/blocks must be 1 where nothing is repeated'
		],
		['blocks that are one', { blocks: 1 }, '/plan/blocks must be 2 or more'],
		['pairs of six', { design: 'paired' as const }, '/plan/factors must make two treatments'],
		[
			'a split plot of one factor',
			{ design: 'split-plot' as const, wholePlot: 'N rate' },
			'/plan/wholePlot must name one of two'
		],
		[
			'grounds of some blocks',
			{ grounds: ['wet', 'dry'] },
			'/plan/grounds must name the ground of all 4 blocks; got 2'
		],
		['a square of fewer rows than treatments', { design: 'latin-square' as const }, '/plan/blocks must be 6, a row'],
		[
			'a square as long as the field',
			{ design: 'latin-square' as const, blocks: 6, lengthFt: undefined },
			'/plan/lengthFt must be given'
		],
		[
			'a square on grounds',
			{ design: 'latin-square' as const, blocks: 6, grounds: ['', '', '', '', '', 'wet'] },
			'/plan/grounds must be left out'
		],
		['a usual practice that is not tried', { usual: '200' }, '/plan/usual must be one of 0; 60; 120'],
		['a cost of nothing', { costs: { '75': 1 } }, '/plan/costs names "75"']
	])('%s', (_, change, said) => {
		expect(problemsOf({ ...RATES, ...change })[0]).toContain(said);
	});
});

describe('a split plot', () => {
	it('has its whole plots side by side', () => {
		const plan: TrialPlan = {
			...RATES,
			design: 'split-plot',
			wholePlot: 'Starter',
			factors: [
				{ name: 'Starter', levels: ['none', '2 x 2', 'in-furrow'] },
				{ name: 'Side-dress', levels: ['0', '80', '160'] }
			],
			usual: 'none, 160'
		};
		const plots = layOut(plan, QUARTER);
		for (const block of [1, 2, 3, 4]) {
			const own = plots.filter((plot) => plot.block === block);
			for (const from of [0, 3, 6]) {
				const whole = own.slice(from, from + 3);
				expect(new Set(whole.map(({ levels }) => levels.Starter)).size).toBe(1);
				expect(new Set(whole.map(({ levels }) => levels['Side-dress'])).size).toBe(3);
			}
		}
	});
});

describe('a Latin square', () => {
	const plan: TrialPlan = { ...RATES, design: 'latin-square', blocks: 6, lengthFt: 200 };
	const plots = layOut(plan, QUARTER);
	const rates = ['0', '120', '150', '180', '240', '60'];
	it('has each treatment once in every row and every column, drawn by the seed', () => {
		for (const part of [1, 2, 3, 4, 5, 6]) {
			const row = plots.filter(({ block }) => block === part);
			const column = plots.filter(({ plot }) => placeOfPlot(plot) === part);
			for (const own of [row, column]) expect(own.map(({ levels }) => levels['N rate']).toSorted()).toEqual(rates);
		}
		const orders = [7, 8, 9].map((seed) => JSON.stringify(layOut({ ...plan, seed }, QUARTER).map((one) => one.levels)));
		expect(new Set(orders).size).toBe(3);
	});
	it('lies in true columns: plots of one place one behind the other', () => {
		const frame = driveFrame(ELL, 0);
		for (const field of [QUARTER, ELL]) {
			const laid = layOut(plan, field);
			for (const part of [1, 2, 3, 4, 5, 6]) {
				const own = laid.filter(({ plot }) => placeOfPlot(plot) === part);
				const lefts = own.map(({ shape }) => frame.toFrame(cornersOf(shape)[0]!)[0]);
				expect(Math.max(...lefts) - Math.min(...lefts)).toBeLessThan(0.1);
			}
		}
	});
	it('that no column has room for says how many rows do', () => {
		const broad = fieldOf([0, 0], [2640, 0], [2640, 1000], [0, 1000]);
		expect(problemsOf(plan, broad)[0]).toMatch(/only 4 of 6 blocks.* Plots of 140 ft would\.$/);
	});
});

it('a field is driven along its longest side', () => {
	expect(usualHeading(QUARTER) % 90).toBe(0);
	expect(usualHeading(fieldOf([0, 0], [300, 300], [200, 400], [-100, 100]))).toBe(45);
});
