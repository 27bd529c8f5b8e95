import { describe, expect, it } from 'vitest';
import type { TrialRequest } from '../schema-types';
import { groupLetters } from './analysis/letters';
import { answerTrial } from './answer-trial';

const plot = (block: number, n: number, bushels: number, more = {}) => ({
	block,
	levels: { N: n },
	yield: bushels,
	...more
});
const strips = (...yields: [number, number][]): TrialRequest => ({
	design: 'unreplicated',
	factors: ['N'],
	observations: yields.map(([n, bushels]) => plot(1, n, bushels))
});

describe('a trial without replication', () => {
	it('gives no verdict, in words: two strips of one treatment differ by CV x 1.41', () => {
		const { verdict, means, lsd, anova } = answerTrial(strips([0, 150], [60, 160]));
		// 7 % of 155 x 1.414 = 15.3.
		expect(verdict).toMatch(
			/^No verdict: nothing was repeated. The strips are 10 apart.*about 15.3 .*no more than chance/
		);
		expect([means.length, lsd, anova]).toEqual([2, null, []]);
		expect(answerTrial(strips([0, 150], [60, 180])).verdict).toContain('one pair cannot show it');
	});
	it('nor does one block, whatever its design says', () => {
		const one = answerTrial({ ...strips([0, 150], [60, 160]), design: 'blocks', cvPercent: 10 });
		expect(one.verdict).toMatch(/^No verdict.*about 21.9/);
	});
});

describe('what is told of a trial', () => {
	const good = [1, 2, 3, 4].flatMap((block) => [
		plot(block, 0, 100 + block),
		plot(block, 100, 150 + block + (block % 2)),
		plot(block, 200, 152 + block - (block % 2))
	]);
	const told = (observations: TrialRequest['observations']) =>
		answerTrial({ design: 'blocks', factors: ['N'], observations });
	it('levels that are numbers stand by size, and the best is named with those not told apart from it', () => {
		const { means, verdict } = told(good);
		expect(means.map(({ levels, group }) => [levels.N, group])).toEqual([
			['0', 'b'],
			['100', 'a'],
			['200', 'a']
		]);
		expect(verdict).toMatch(
			/^N makes a difference \(p below 0.001\): 200 has most, 154, 51.5 above 0; not told apart from 100/
		);
	});
	it('missing plots are missing, those set aside are named with their reason', () => {
		const { notes, means } = told([...good.slice(1), { ...plot(1, 0, 20), setAside: 'drowned' }]);
		expect(notes.slice(0, 2)).toEqual([
			'1 plot is missing; means are adjusted for it.',
			'Set aside: block 1: drowned.'
		]);
		// 100 + block of blocks 2 to 4, brought down to the mean of all four.
		expect(means[0]).toMatchObject({ n: 3 });
		expect(means[0]!.mean).toBeCloseTo(102.5, 0);
	});
	it('a treatment that a block lacks is missing, however often the others were weighed', () => {
		const twice = [...good, ...good].filter(({ block, levels }) => block !== 2 || levels.N !== 100);
		expect(told(twice).notes).toEqual(['1 plot is missing; means are adjusted for it.']);
	});
	it('what has no error of its own has none: changes about nought have no CV, one block no error of whole plots', () => {
		expect(told(good.map((one) => ({ ...one, yield: one.yield - 200 }))).cv).toBeNull();
		const weighed = [0, 1].flatMap((v) =>
			[0, 1].flatMap((n) => [1, 2].map((more) => ({ block: 1, levels: { V: v, N: n }, yield: 100 + v + n + more })))
		);
		const one = answerTrial({ design: 'split-plot', factors: ['V', 'N'], wholePlot: 'V', observations: weighed });
		expect(one.anova.find(({ source }) => source === 'V')).toMatchObject({ f: null, p: null });
		expect(one.means.filter(({ levels }) => 'V' in levels).map(({ se }) => se)).toEqual(Array(6).fill(null));
	});
	it('a plot that lies far off is to be looked at again', () => {
		const many = Array.from({ length: 8 }, (_, block) =>
			[0, 60, 120].map((n) => plot(block, n, 100 + n / 2 + ((block + n) % 3) + (block === 5 && n === 60 ? 40 : 0)))
		);
		const { notes } = told(many.flat());
		expect(notes[0]).toMatch(/^Look again at 172 in block 5 \(60\): it lies [\d.]+ standard deviations off/);
		expect(notes.filter((note) => note.startsWith('Look again'))).toHaveLength(1);
	});
	it('blocks of two sites are not one another’s', () => {
		const sites = [1, 2].flatMap((site) => good.map((one) => ({ ...one, site, yield: one.yield + 40 * site })));
		const { anova, notes } = told(sites);
		expect(anova.find(({ source }) => source === 'block')!.df).toBe(7);
		expect(notes[0]).toContain('2 sites');
	});
	it.each([
		[
			{ observations: [plot(1, 0, 1), { block: 1, levels: { P: 1 }, yield: 2 }] },
			'/observations/1/levels',
			'does not tell N'
		],
		[{ design: 'split-plot' as const, wholePlot: 'N' }, '/factors', 'two factors or more'],
		[{ factors: ['N'], observations: [plot(1, 0, 1), plot(2, 0, 2)] }, '/factors', 'N has one level only'],
		[{ design: 'paired' as const }, '/factors', 'one factor of two levels']
	])('%#: what does not fit the design is refused where it stands', (change, path, words) => {
		const call = () => answerTrial({ design: 'blocks', factors: ['N'], observations: good, ...change });
		expect(call).toThrow(
			expect.objectContaining({ problems: [{ path, message: expect.stringContaining(words) as string }] })
		);
	});
});

describe('letters of groups', () => {
	const by = (means: number[], apart: number) => groupLetters(means.length, (a, b) => means[a]! - means[b]! > apart);
	it('chain where neighbours are alike and ends are not', () => {
		expect(by([30, 25, 20, 15], 6)).toEqual(['a', 'ab', 'bc', 'c']);
		expect(by([30, 29, 10], 5)).toEqual(['a', 'a', 'b']);
		expect(by([30, 29, 28], 5)).toEqual(['a', 'a', 'a']);
	});
});
