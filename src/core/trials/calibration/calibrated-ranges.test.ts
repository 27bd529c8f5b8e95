import { expect, it } from 'vitest';
import type { LeafRanges } from '../../schema-types';
import { calibratedRanges } from './calibrated-ranges';

const from: LeafRanges = {
	crop: 'soybean',
	part: 'trifoliate',
	when: 'R1',
	ranges: { P: { low: 0.3, high: 0.6 }, K: { low: 1.7, high: 2.5 } },
	criticalP: { perN: 0.05, plus: 0.1 },
	basis: 'published',
	citation: 'A guide'
};
const sites = [
	{ soilTest: 1.2, relativeYield: 80, site: 'North' },
	{ soilTest: 2.2, relativeYield: 99, site: 'South' }
];
const fit = { model: 'linear-plateau', interval: [1.7, 2.1] as [number, number] } as const;
const made = (element: 'P' | 'K' | 'B', critical: number) =>
	calibratedRanges(from, element, { ...fit, interval: [1.7, 2.1] }, critical, sites);

it('has the critical value as the lower end of its element and leaves the others, with the sites named', () => {
	const ranges = made('K', 1.91237);
	expect(ranges).toEqual({
		...from,
		ranges: { P: { low: 0.3, high: 0.6 }, K: { low: 1.912, high: 2.5 } },
		basis: 'adviser',
		citation: expect.stringMatching(
			/^K: 2 own sites, line and plateau: critical value 1\.912 % .*Sites: North, South\. All else: A guide$/
		) as string
	});
});
it('drops an upper end that is not above it, and a lowest P that goes by nitrogen', () => {
	expect(made('K', 2.6).ranges.K).toEqual({ low: 2.6 });
	expect(made('K', 1.9).criticalP).toEqual(from.criticalP);
	expect(made('P', 0.35).criticalP).toBeUndefined();
	expect(made('B', 25).ranges.B).toEqual({ low: 25 });
});
