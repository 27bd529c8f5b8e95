import { describe, expect, it } from 'vitest';
import { figure, notApplicable, valueIfKnown, type Answer } from '../../../figure/figure';
import { soilLayers } from '../../../reading/soil/soil-layers';
import { readTrends } from '../../../reading/soil/trends';
import type { LabMethod, Sample } from '../../../schema-types';
import { BALANCED, type YearBalance } from './nutrient-balance';
import { testMoves } from './test-and-balance';

const CEC = { analyte: 'CEC' as const, value: 16, unit: 'meq/100g' as const };
const sample = (
	date: string,
	P: number,
	K: number,
	method: LabMethod | undefined = 'bray-p1',
	top = 0,
	named = true
): Sample => ({
	date,
	layers: [
		{
			top,
			bottom: top + 8,
			depthUnit: 'in',
			results: [
				CEC,
				{ analyte: 'P', ...(named && method ? { method } : {}), value: P, unit: 'ppm' },
				{ analyte: 'K', ...(named ? { method: 'ammonium-acetate' as const } : {}), value: K, unit: 'ppm' }
			]
		}
	]
});
const pounds = (value: number): Answer => figure({ label: 'of the year', value, unit: 'lb/ac', basis: 'measured' });
const year = (of: number, P2O5: Answer, K2O = P2O5): YearBalance => ({
	year: of,
	crop: 'Corn',
	nutrients: Object.fromEntries(
		BALANCED.map((nutrient) => {
			const ofYear = nutrient === 'K2O' ? K2O : P2O5;
			return [nutrient, { ofYear, together: ofYear }];
		})
	) as YearBalance['nutrients']
});
const moves = (samples: Sample[], years: YearBalance[]) =>
	testMoves(readTrends(samples, 'us'), years, soilLayers(samples[0]!), 'us');
const phosphorus = (samples: Sample[], years: YearBalance[]) =>
	moves(samples, years).find(({ nutrient }) => nutrient === 'P2O5')!;
const SPAN = [sample('2026-10-12', 20, 120), sample('2023-10-20', 14, 131)];
const years = (...balances: number[]) => balances.map((value, at) => year(2024 + at, pounds(value)));

describe('a soil test beside the balance', () => {
	// Bulletin E-2567 (1995), from memory: 20 lb P2O5 and 4 x (1 + 0.05 x 16) = 7.2 lb K2O move the test by 1 ppm.
	it('has the balance of the crops between the samples, and the move that it should have made', () => {
		const [k, p] = moves(SPAN, [year(2023, pounds(500)), ...years(60, 30, 30), year(2027, pounds(500))]).sort((a, b) =>
			a.nutrient.localeCompare(b.nutrient)
		);
		expect(p).toMatchObject({ from: '2023-10-20', to: '2026-10-12', before: 14, after: 20 });
		expect(valueIfKnown(p!.balance)).toBe(120);
		expect(valueIfKnown(p!.expected)).toBe(6);
		expect(p!.said).toBe('Rose as the balance says.');
		expect(valueIfKnown(k!.expected)).toBeCloseTo(120 / 7.2, 9);
		expect(k!.said).toBe('Hardly moved though the balance is 120 lb/ac over: the ground tied it up, or it was lost.');
	});

	it('counts the crop of a year from September on', () => {
		const spring = [sample('2026-04-12', 20, 120), sample('2023-08-20', 14, 131)];
		const all = [year(2023, pounds(5)), ...years(60, 30, 30)];
		expect(valueIfKnown(phosphorus(spring, all).balance)).toBe(95);
		const autumn = [sample('2026-04-12', 20, 120), sample('2023-09-05', 14, 131)];
		expect(valueIfKnown(phosphorus(autumn, all).balance)).toBe(90);
	});

	it.each([
		[14, 14, [-10, 0, 0], 'Hardly moved, as the balance says.'],
		[
			20,
			19,
			[-60, -60, -60],
			'Hardly moved though the balance is 180 lb/ac short: the ground gave it from its reserve.'
		],
		[14, 30, [60, 30, 30], 'Rose with the balance, by more than it says.'],
		[14, 20, [90, 90, 90], 'Rose with the balance, by less than it says.'],
		[20, 12, [-50, -50, -50], 'Fell as the balance says.'],
		[20, 14, [60, 30, 30], 'Fell though the balance is 120 lb/ac over: look at depth and month']
	])('from %s to %s ppm with %j lb says so', (before, after, balances, said) => {
		const samples = [sample('2026-10-12', after, 120), sample('2023-10-20', before, 120)];
		expect(phosphorus(samples, years(...balances)).said).toContain(said);
	});

	it('goes by the sign alone where no pounds for a ppm are known', () => {
		const olsen = (before: number, after: number, balance: number) =>
			phosphorus(
				[sample('2026-10-12', after, 120, 'olsen'), sample('2023-10-20', before, 120, 'olsen')],
				years(balance, 0, 0)
			);
		expect(olsen(10, 15, 80)).toMatchObject({ expected: { applies: false }, said: 'Rose with the balance.' });
		expect(olsen(10, 11, 80).said).toBe('Moved no more than samples scatter.');
		expect(olsen(15, 10, 80).said).toContain('Fell though the balance is 80 lb/ac over');
	});

	it('takes K without a method as by ammonium acetate, as the readings do, and P without one for nothing', () => {
		const unnamed = SPAN.map(({ date }, at) => sample(date!, 20 - 6 * at, 120, undefined, 0, false));
		const [k, p] = moves(unnamed, years(60, 30, 30)).sort((a, b) => a.nutrient.localeCompare(b.nutrient));
		expect(k!.expected.applies).toBe(true);
		expect(p!.expected.applies).toBe(false);
	});

	it('says which year is missing, and nothing of a layer below', () => {
		const gap = phosphorus(SPAN, [year(2024, pounds(1)), year(2026, pounds(1))]);
		expect(gap).toMatchObject({ balance: { applies: false, reason: '2025 is not in the book' }, said: undefined });
		const open = notApplicable('P2O5', 'the harvest of 2025 is not in the book', 'Save it.');
		expect(phosphorus(SPAN, [...years(1), year(2025, open), year(2026, pounds(1))]).balance).toMatchObject({
			reason: 'the harvest of 2025 is not in the book'
		});
		const sameYear = [sample('2024-03-12', 20, 120), sample('2023-10-20', 14, 131)];
		expect(phosphorus(sameYear, years(1)).balance).toMatchObject({ reason: 'no harvest lies between the samples' });
		expect(
			moves([sample('2026-10-12', 20, 120, 'bray-p1', 8), sample('2023-10-20', 14, 131, 'bray-p1', 8)], [])
		).toEqual([]);
	});
});
