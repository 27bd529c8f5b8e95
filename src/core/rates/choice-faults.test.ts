import { describe, expect, it } from 'vitest';
import { planContext } from '../season/plan/plan-context.test-help';
import { checkSeason } from '../season/checks/check-season';
import { cornRequestWith, library } from '../testing.test-help';
import { advise } from './advise';
import { choiceFacts, choiceFaults, type ChoiceFacts } from './choice-faults';

const severities = (pounds: number, facts: ChoiceFacts) =>
	choiceFaults('N', pounds, facts, 'us').map(({ severity }) => severity);

describe('a chosen rate', () => {
	it('is questioned above the highest approach, and stopped far above it', () => {
		// A guide of 70 lb for blackberry: 200 typed is far above.
		const highest = { pounds: 70, by: 'Cane fruit' };
		expect([70, 87.5, 90, 91, 140, 141].map((pounds) => severities(pounds, { highest }))).toEqual([
			[],
			[],
			[],
			['mind'],
			['mind'],
			['stop']
		]);
		expect(choiceFaults('N', 200, { highest }, 'us')[0]!.text).toContain('70 lb by Cane fruit');
	});
	it('is stopped against a test in the crop that calls for none', () => {
		expect(severities(250, { test: { pounds: 0, by: 'Test' } })).toEqual(['stop']);
		expect(severities(20, { test: { pounds: 0, by: 'Test' } })).toEqual([]);
		expect(severities(121, { test: { pounds: 100, by: 'Test' } })).toEqual(['mind']);
	});
	it('counts what the soil holds against what the crop takes up', () => {
		// 190 bu x 1.11 lb; 180 lb of nitrate were measured.
		const soil = { mineral: 180, uptake: 211 };
		expect([100, 125, 127, 201, 242, 243].map((pounds) => severities(pounds, soil))).toEqual([
			[],
			[],
			['mind'],
			['mind'],
			['mind'],
			['stop']
		]);
	});
	it('that is not settled, or against which nothing is known, has none', () => {
		expect(severities(500, {})).toEqual([]);
	});
});

describe('what it is held against', () => {
	const rates = (nitratePpm?: number) =>
		advise(
			{
				...cornRequestWith({ OM: { value: 3, unit: '%' } }),
				...(nitratePpm === undefined ? {} : { inSeason: { nitrate: { nitratePpm, depthIn: 12 } } })
			},
			library,
			'2027-06-10'
		).rates;
	it('is the highest rate for a season, and a test in the crop unless it was chosen by it', () => {
		const facts = choiceFacts('N', rates(50), undefined, {});
		// E-2567 (1995), from memory: -27 + 1.36 x 160 - 30 after soybean.
		expect(facts.highest!.pounds).toBeCloseTo(160.6, 6);
		expect(facts.test!.pounds).toBe(0);
		expect(choiceFacts('N', rates(50), 'in-season-nitrogen/corn-nitrate', {}).test).toBeUndefined();
		expect(choiceFacts('N', rates(), undefined, {}).test).toBeUndefined();
	});
});

it('the season says the same words', () => {
	const facts: ChoiceFacts = { highest: { pounds: 70, by: 'Cane fruit' } };
	const checks = checkSeason([], planContext({ chosen: { N: 200 }, choiceFacts: { N: facts } }));
	expect(checks.filter(({ rule }) => rule === 'chosen-rate')).toMatchObject(choiceFaults('N', 200, facts, 'us'));
	expect(checkSeason([], planContext({ chosen: { N: 80 }, choiceFacts: { N: facts } }))).not.toContainEqual(
		expect.objectContaining({ rule: 'chosen-rate' })
	);
});
