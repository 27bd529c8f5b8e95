import { describe, expect, it } from 'vitest';
import type { TrialPlan } from '$core/schema-types';
import { RATES } from '$core/trials/trial.test-help';
import { readRow, typedRows } from './typed-records';
import { readTyped, typedFromPlan, typedFromPreset, unitChoices } from './typed-trial';

const PLAN: TrialPlan = {
	...RATES,
	question: 'How much?',
	grounds: ['wet', 'wet', 'dry', 'dry'],
	cvPercent: 7,
	worthKnowing: 8,
	price: 4.2,
	costs: { '0': 0, '180': 81 },
	note: 'by hand',
	weather: 'dry'
};

describe('a plan as it is typed', () => {
	it.each(['us', 'metric'] as const)('comes back as it was, in %s units', (units) => {
		expect(readTyped(typedFromPlan(PLAN, units), units, PLAN)).toEqual(PLAN);
	});
	it('is typed in metres where the reader has them, and an empty length is the whole field', () => {
		const typed = typedFromPlan(PLAN, 'metric');
		expect(typed).toMatchObject({ width: '18.29', length: '182.88' });
		const plan = readTyped({ ...typed, length: ' ', width: '18' }, 'metric', PLAN) as TrialPlan;
		expect(plan.lengthFt).toBeUndefined();
		expect(plan.widthFt).toBeCloseTo(59.055, 3);
	});
	it('costs go with the treatments they were for; what is no number is said', () => {
		const typed = typedFromPlan(PLAN, 'us');
		typed.factors[0]!.levels = '0, 90';
		expect(readTyped(typed, 'us', PLAN)).not.toHaveProperty('costs');
		expect(readTyped({ ...typed, blocks: 'four', width: '' }, 'us')).toBe(
			'Blocks must be a number; got “four”. Width of a plot must be a number; got “”.'
		);
	});
	it('rates of a question come in the reader’s unit; a plan in another keeps its own', () => {
		const rates = {
			id: 'n',
			name: 'N rates',
			question: 'How much?',
			design: 'blocks' as const,
			blocks: 4,
			factors: [{ name: 'N rate', unit: 'lb N/ac', levels: ['0', '60', '180'] }],
			usual: '180',
			cvPercent: 7,
			fullLength: false
		};
		expect(typedFromPreset(rates, 0, 1, 'metric')).toMatchObject({
			factors: [{ name: 'N rate', unit: 'kg N/ha', levels: '0, 65, 200' }],
			usual: '200',
			width: '18',
			header: '9',
			length: '150'
		});
		expect(unitChoices('lb N/ac', 'metric')).toEqual(expect.arrayContaining(['', 'kg N/ha', 't/ha', 'lb N/ac']));
		expect(unitChoices('', 'us')).toContain('short ton/ac');
	});
	it('starts from a question with the field’s own direction', () => {
		const preset = {
			id: 'x',
			name: 'Strips',
			question: 'Which?',
			design: 'paired' as const,
			blocks: 5,
			factors: [{ name: 'Way', levels: ['new', 'usual'] }],
			usual: 'usual',
			cvPercent: 7,
			fullLength: true
		};
		expect(typedFromPreset(preset, 88, 5, 'us')).toMatchObject({ heading: '88', seed: '5', length: '', blocks: '5' });
		expect(typedFromPreset({ ...preset, fullLength: false }, 88, 5, 'us').length).toBe('500');
	});
});

describe('a plot as it is typed', () => {
	const records = [{ plot: 101, values: { yield: 150, stand: 31000 }, points: 90, note: 'ok' }];
	const plots = [101, 102].map((plot) => ({
		plot,
		block: 1,
		levels: { N: '0' },
		areaAcres: 1,
		shape: { type: 'Polygon' as const, coordinates: [] }
	}));
	it('shows one measure and keeps the others; points stay only with the yield they gave', () => {
		const [row, empty] = typedRows(plots, records, 'stand');
		expect(row).toMatchObject({ value: '31000', note: 'ok' });
		expect(readRow(row!, 'stand', records)).toEqual(records[0]);
		expect(readRow({ ...row!, value: '' }, 'stand', records)).toMatchObject({ values: { yield: 150 }, points: 90 });
		expect(readRow({ ...row!, value: '160' }, 'yield', records)).toEqual({
			plot: 101,
			values: { stand: 31000, yield: 160 },
			note: 'ok'
		});
		expect(readRow(empty!, 'yield', records)).toBeUndefined();
	});
	it('what is no number is said with its plot', () => {
		const [row] = typedRows(plots, records, 'yield');
		expect(readRow({ ...row!, value: 'lots' }, 'yield', records)).toBe(
			'Yield of plot 101 must be a number from 0 to 100000; got “lots”.'
		);
		expect(readRow({ ...row!, moisture: '80' }, 'yield', records)).toMatch(/^Moisture of plot 101/);
	});
});
