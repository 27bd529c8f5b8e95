import { describe, expect, it } from 'vitest';
import type { SeasonRequest } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { runSeason } from '../run-season';

const sunflower = { id: 'sunflower' as const, yieldGoal: 1500, plantingDate: '2027-07-15' };
const wheat = (change: Partial<SeasonRequest> = {}): SeasonRequest => ({
	station: { id: library.stations[0]!.id, seed: 3 },
	soil: { textureClass: 'silt loam', organicMatterPercent: 3 },
	crop: { id: 'winter-wheat', yieldGoal: 85, plantingDate: '2026-10-05' },
	passes: [],
	secondCrop: sunflower,
	...change
});
const urea = {
	id: 'n',
	date: '2027-07-16',
	label: 'For the second crop',
	product: 'urea',
	rate: 100,
	unit: 'lb/ac' as const,
	placement: 'incorporated' as const,
	reason: ''
};

describe('a run with a second crop', () => {
	it('leaves the first as it is and goes on to the end of the second', () => {
		const [run, bare] = [runSeason(wheat(), library), runSeason(wheat({ secondCrop: undefined }), library)];
		expect(run.balance).toEqual(bare.balance);
		expect(bare.secondCrop).toBeUndefined();
		const { name, caught, wanted, lost, lostWithout } = run.secondCrop!;
		expect(name).toBe('Sunflower');
		expect(caught).toBeGreaterThan(5);
		expect(caught).toBeLessThanOrEqual(wanted! + 1e-9);
		expect(lost).toBeLessThanOrEqual(lostWithout);
	});
	it('has the first off when the second is planted, a month before its usual harvest at the earliest', () => {
		const early = runSeason(wheat({ secondCrop: { ...sunflower, plantingDate: '2027-06-28' } }), library);
		expect(early.days.at(-1)!.date).toBe('2027-06-28');
		// 280 days after 5 October are 12 July.
		expect(runSeason(wheat(), library).days.at(-1)!.date).toBe('2027-07-12');
	});
	it('feeds it with what is put on for it', () => {
		const [fed, unfed] = [runSeason(wheat({ passes: [urea] }), library), runSeason(wheat(), library)];
		expect(fed.secondCrop!.caught).toBeGreaterThan(unfed.secondCrop!.caught + 10);
		// It wants as much as a first crop of that goal takes up without want.
		const alone = runSeason({ ...wheat({ secondCrop: undefined, passes: [urea] }), crop: sunflower }, library);
		expect(fed.secondCrop!.wanted).toBeGreaterThan(0.6 * alone.balance.wanted);
		expect(fed.secondCrop!.wanted).toBeLessThanOrEqual(1.05 * alone.balance.wanted);
	});
	it('is followed by a catch crop that takes up what it left, which leaves crop and second crop as they are', () => {
		const catchCrop = { crop: 'cereal-rye', sownOn: '2027-11-23', endedOn: '2028-05-05' };
		const fed = wheat({ passes: [{ ...urea, rate: 300 }] });
		const [both, second] = [runSeason({ ...fed, catchCrop }, library), runSeason(fed, library)];
		expect(both.balance).toEqual(second.balance);
		expect(both.secondCrop).toEqual(second.secondCrop);
		const rye = both.catchCrop!;
		expect(rye.caught).toBeGreaterThan(3);
		expect(rye.lost).toBeLessThan(rye.lostWithout);
		// It finds what the second crop left, not what the first did.
		expect(Math.abs(rye.left - second.secondCrop!.left)).toBeGreaterThan(5);
		const little = runSeason({ ...wheat(), catchCrop }, library).catchCrop!;
		expect(little.left).toBeLessThan(rye.left);
		expect(little.caught).toBeLessThan(rye.caught);
	});
	it.each([
		[
			'before the first is off',
			{ secondCrop: { ...sunflower, plantingDate: '2027-05-01' } },
			'/secondCrop/plantingDate'
		],
		[
			'with a catch crop sown into it',
			{ catchCrop: { crop: 'cereal-rye', sownOn: '2027-09-20', endedOn: '2028-04-10' } },
			'/catchCrop/sownOn'
		]
	])('%s is refused', (_, change, said) => {
		expect(() => runSeason(wheat(change), library)).toThrow(said);
	});
});
