import { expect, it } from 'vitest';
import { siteNames } from './site-names';
import { commonTreatments, firstPair, siteEffects } from './site-effects';

const site = (name: string, ...means: [string, number, number][]) => ({
	site: name,
	means: means.map(([treatment, mean, se]) => ({ treatment, mean, se }))
});
const SITES = [
	site('North 2025', ['with', 190, 3], ['without', 182, 4]),
	site('South 2026', ['with', 170, 1.5], ['without', 171, 2]),
	site('East 2026', ['with', 160, 2], ['180', 150, 2])
];

it('what one treatment yielded over another at each site that has both, with the error of the difference', () => {
	expect(siteEffects(SITES, 'with', 'without')).toEqual([
		{ site: 'North 2025', effect: 8, se: 5 },
		{ site: 'South 2026', effect: -1, se: 2.5 }
	]);
	expect(siteEffects(SITES, 'without', 'with')[0]!.effect).toBe(-8);
});
it('two trials of one field and year are told apart', () => {
	const one = { field: 'North', year: 2026 };
	expect(siteNames([one, { ...one, year: 2025 }, one])).toEqual(['North 2026', 'North 2025', 'North 2026, no. 2']);
});
it('begins with a trial’s treatment against its usual practice, where several sites have both', () => {
	const common = commonTreatments(SITES);
	expect(firstPair(SITES, ['a', 'b'])).toEqual(['a', 'b']);
	expect(firstPair([{ ...SITES[2]!, usual: '180' }, { ...SITES[1]!, usual: 'without' }, SITES[0]!], common)).toEqual([
		'with',
		'without'
	]);
});
it('a treatment is not held against itself, and one that a single site tried is not offered', () => {
	expect(siteEffects(SITES, 'with', 'with')).toEqual([]);
	expect(commonTreatments(SITES)).toEqual(['with', 'without']);
	expect(commonTreatments([])).toEqual([]);
});
