import { describe, expect, it } from 'vitest';
import type { TrialPlan, TrialRecord } from '../../schema-types';
import { layOut } from '../design/lay-out';
import { QUARTER, RATES } from '../trial.test-help';
import { readTrial, type TrialReading } from './read-trial';

const TERMS = { yieldUnit: 'bu/ac', standardMoisturePercent: 15.5 };
const EIGHT = [
	'all before planting',
	'planter + mid-row',
	'over the top',
	'row base V7',
	'row base V15',
	'both',
	'half',
	'none'
];
/** Placement x timing as one factor of eight, two blocks on the wet half and two on the dry. */
const PLACEMENT: TrialPlan = {
	...RATES,
	factors: [{ name: 'Programme', levels: EIGHT }],
	usual: 'planter + mid-row',
	widthFt: 30,
	passFt: 30,
	grounds: ['wet half', 'wet half', 'dry half', 'dry half'],
	price: 4.5,
	costs: Object.fromEntries(EIGHT.map((name, at) => [name, name === 'none' ? 0 : 60 + 2 * at]))
};
const yieldOf = (programme: string, block: number, wetGain = 25) => {
	const base = 190 - (programme === 'none' ? 70 : 0) + (block % 2) * 3;
	const gain = programme.startsWith('row base V7') ? (block <= 2 ? wetGain : 2) : 0;
	return base + gain + 2 * Math.sin(7 * block + 3 * EIGHT.indexOf(programme));
};
const recordOf = (plan: TrialPlan, value: (programme: string, block: number) => number): TrialRecord => {
	const plots = layOut(plan, QUARTER);
	return {
		plan,
		plots,
		records: plots.map(({ plot, block, levels }) => ({
			plot,
			values: { yield: value(Object.values(levels)[0]!, block) }
		}))
	};
};
const read = (record: TrialRecord) => {
	const reading = readTrial(record, 'yield', TERMS);
	if (!reading.applies) throw new Error(reading.reason);
	return reading;
};

describe('placement x timing, eight treatments on a wet and a dry half', () => {
	const reading: TrialReading = read(recordOf(PLACEMENT, yieldOf));
	it('each half is read on its own, and that they differ is tested', () => {
		const bestOf = (at: number) =>
			[...reading.grounds[at]!.answer.means].sort((a, b) => b.mean - a.mean)[0]!.levels.Programme;
		expect(reading.grounds.map(({ ground }) => ground)).toEqual(['wet half', 'dry half']);
		expect(bestOf(0)).toBe('row base V7');
		expect(reading.byGround!.df).toBe(7);
		expect(reading.byGround!.p).toBeLessThan(0.001);
	});
	it('the money of every treatment, over usual practice, by the least difference', () => {
		const net = reading.money.find(({ treatment }) => treatment === 'row base V7')!;
		const base = reading.money.find(({ treatment }) => treatment === 'planter + mid-row')!;
		expect(reading.money).toHaveLength(8);
		expect(net.net.value).toBeCloseTo(net.mean * 4.5 - 66, 9);
		expect(base.gain).toBeUndefined();
		expect(net.gain!.figure.value).toBeCloseTo((net.mean - base.mean) * 4.5 - 4, 9);
		expect(net.gain!.high! - net.gain!.low!).toBeCloseTo(2 * 4.5 * reading.answer.lsd!, 9);
		expect(net.gain!.perDollar).toBeCloseTo(((net.mean - base.mean) * 4.5) / 4, 9);
		expect(reading.money.find(({ treatment }) => treatment === 'none')!.gain!.perDollar).toBeUndefined();
	});
	it('the verdict is one paragraph: statistics, money, blocks, ground', () => {
		expect(reading.verdict).toMatch(/^Programme makes a difference \(p below 0\.001\)/);
		expect(reading.verdict).toMatch(
			/At \$4\.50\/bu “row base V7” returned most, \$\d+\.\d\d\/ac over usual practice, “planter \+ mid-row” \(/
		);
		expect(reading.verdict).toMatch(/It yielded more in [34] of 4 blocks \(-?\d+ to \d+ bu\/ac apart\)/);
		expect(reading.verdict).toMatch(
			/On the wet half row base V7 had most.*The grounds answer differently, beyond chance/
		);
		expect(reading.verdict).not.toContain('\n');
	});
	it('each mean opens into its plots, its error into the mean square; a plot that is missing is told', () => {
		reading.answer.means.forEach(({ mean, se, n }, at) => {
			const { mean: shown, se: error } = reading.means[at]!;
			expect(shown.value).toBeCloseTo(mean, 9);
			expect(shown.inputs).toHaveLength(n);
			expect(shown.inputs.reduce((sum, { value }) => sum + value, 0) / n).toBeCloseTo(mean, 9);
			expect(error!.value).toBe(se);
			expect(error!.inputs[1]!.value).toBeCloseTo(n, 6);
		});
		const whole = recordOf(PLACEMENT, yieldOf);
		const short = read({ ...whole, records: whole.records.slice(1) });
		const hit = short.answer.means.findIndex(({ n }) => n === 3);
		expect(short.means[hit]!.mean.formula).toMatch(/^least squares mean/);
		expect(short.means[hit]!.mean.inputs[0]!.inputs).toHaveLength(3);
		const split: TrialPlan = {
			...RATES,
			design: 'split-plot',
			wholePlot: 'A',
			factors: [
				{ name: 'A', levels: ['x', 'y'] },
				{ name: 'B', levels: ['1', '2', '3'] }
			],
			usual: 'x, 1'
		};
		const both = read(recordOf(split, (level, block) => (level === 'x' ? 100 : 110) + ((block * 7) % 5)));
		expect(both.means.every(({ se }) => se === undefined)).toBe(true);
		expect(both.means).toHaveLength(both.answer.means.length);
	});
	it('figures open into sums of squares, error and freedom', () => {
		const [lsd, cv] = reading.figures;
		const residual = reading.answer.anova.find(({ source }) => source === 'residual')!;
		expect(lsd!.inputs[1]!.value).toBeCloseTo(residual.ss / residual.df, 9);
		expect(lsd!.inputs[2]!.value).toBeCloseTo(4, 6);
		expect(cv!.value).toBe(reading.answer.cv);
		expect(cv!.inputs[1]!.value).toBeCloseTo(
			reading.answer.means.reduce((sum, { mean }) => sum + mean, 0) / reading.answer.means.length,
			6
		);
	});
	it('each F and its chance open into mean squares and degrees of freedom', () => {
		const { anova } = reading.answer;
		const at = anova.findIndex(({ source }) => source === 'Programme');
		const { f, p } = reading.tests[at]!;
		expect(f.inputs[0]!.value / f.inputs[1]!.value).toBeCloseTo(f.value, 9);
		expect(f.inputs[1]!.inputs.map(({ value }) => value)).toEqual([anova.at(-1)!.ss, 21]);
		expect(p.value).toBe(anova[at]!.p);
		expect(p.inputs.slice(1).map(({ value }) => value)).toEqual([7, 21]);
		expect(reading.tests.filter(Boolean)).toHaveLength(1);
	});
	it('where both halves answer alike that is said, and usual practice that is best is said too', () => {
		const alike = read(recordOf({ ...PLACEMENT, usual: 'row base V7' }, (name, block) => yieldOf(name, block, 2)));
		expect(alike.verdict).toMatch(/not proven\.$/);
		const usual = read(recordOf({ ...PLACEMENT, usual: 'row base V7' }, yieldOf));
		expect(usual.verdict).toMatch(/usual practice, “row base V7”, returned most; nothing that was tried beat it/);
	});
});

describe('what is not there', () => {
	const plots = layOut(RATES, QUARTER);
	it('no plot, or plots of one rate, say nothing yet', () => {
		const none = readTrial({ plan: RATES, plots, records: [{ plot: 101, note: 'late' }] }, 'yield', TERMS);
		expect(none).toMatchObject({ applies: false, reason: 'nothing was measured on the plots yet' });
		const zero = plots.filter(({ levels }) => levels['N rate'] === '0');
		const one = zero.map(({ plot }) => ({ plot, values: { yield: 100 } }));
		expect(readTrial({ plan: RATES, plots, records: one }, 'yield', TERMS)).toMatchObject({
			reason: 'only one level of N rate was measured'
		});
	});
	it('a plot set aside is left out with its reason; wet grain is told at the standard; no price, no money', () => {
		const records = plots.map(({ plot, levels }) => ({
			plot,
			values: { yield: 100 + Number(levels['N rate']) / 4 + (plot % 7) },
			moisturePercent: 20,
			...(plot === 101 ? { setAside: 'deer' } : {})
		}));
		const reading = read({ plan: RATES, plots, records });
		expect(reading.answer.notes).toContain('Set aside: block 1: plot 101, deer.');
		expect(reading.answer.notes).toContainEqual(expect.stringMatching(/^1 plot is missing/));
		expect(reading.money).toEqual([]);
		const dry = read({ plan: RATES, plots, records: records.map(({ moisturePercent: _, ...one }) => one) });
		expect(reading.answer.means[0]!.mean / dry.answer.means[0]!.mean).toBeCloseTo(80 / 84.5, 9);
	});
	it('two strips that are not repeated give no verdict', () => {
		const strips: TrialPlan = {
			...RATES,
			design: 'unreplicated',
			blocks: 1,
			factors: [{ name: 'Lime', levels: ['0', '2'] }],
			usual: '0'
		};
		const reading = read(recordOf(strips, (level) => 150 + 4 * Number(level)));
		expect(reading.verdict).toMatch(/^No verdict: nothing was repeated\. The strips are 8 apart/);
		expect(reading.limits).toContain('Nothing was repeated, so nothing is proven.');
		expect(reading.figures).toEqual([]);
	});
});
