// Rye after corn. Trade fact (common practice, no source): it catches about 20 lb N by spring where corn was fed to its optimum, and about twice
// that after excess. The parameters are calibrated to this, so what is checked is that the whole model still gives it.
import { describe, expect, it } from 'vitest';
import type { SeasonRequest } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { catchCropModel, catchCropUptake } from '../growth/catch-crop';
import { runSeason } from '../run-season';

const SEASONS = 12;
const catchCrop = { crop: 'cereal-rye', sownOn: '2027-09-28', endedOn: '2028-04-18' };
const corn = (nitrogen: number, seed = 1, change: Partial<SeasonRequest> = {}): SeasonRequest => ({
	station: { id: library.stations[0]!.id, seed },
	soil: { textureClass: 'silt loam', organicMatterPercent: 3 },
	crop: { id: 'corn-grain', yieldGoal: 180, plantingDate: '2027-04-28' },
	passes: [
		{
			id: 'n',
			date: '2027-06-05',
			label: 'Side-dress',
			product: 'uan-28',
			rate: nitrogen / 0.28,
			unit: 'lb/ac',
			placement: 'injected',
			reason: ''
		}
	],
	catchCrop,
	...change
});

/** Means over simulated seasons. */
function meanOf(nitrogen: number) {
	const runs = Array.from({ length: SEASONS }, (_, at) => runSeason(corn(nitrogen, at + 1), library));
	const mean = (of: (run: (typeof runs)[number]) => number) => runs.reduce((sum, run) => sum + of(run), 0) / SEASONS;
	return {
		caught: mean(({ catchCrop: after }) => after!.caught),
		lost: mean(({ catchCrop: after }) => after!.lost),
		lostWithout: mean(({ catchCrop: after }) => after!.lostWithout)
	};
}

describe('rye after corn', () => {
	// About a pound of N to the bushel is where trials put the optimum: common practice.
	const [fed, excess] = [meanOf(180), meanOf(300)];
	it('catches about 20 lb at the optimum, and about twice as much after 300 lb', () => {
		expect(Math.abs(fed.caught - 20)).toBeLessThan(4);
		expect(excess.caught / fed.caught).toBeGreaterThan(1.7);
		expect(excess.caught / fed.caught).toBeLessThan(2.3);
	});
	it('leaves less to leach than bare ground, of excess still more than it catches', () => {
		for (const { lost, lostWithout } of [fed, excess]) expect(lost).toBeLessThan(0.7 * lostWithout);
		expect(excess.lost).toBeGreaterThan(excess.caught);
	});
});

describe('a run with a catch crop', () => {
	it('leaves the crop of the year as it is', () => {
		const withRye = runSeason(corn(200), library);
		const bare = runSeason(corn(200, 1, { catchCrop: undefined }), library);
		expect(bare.catchCrop).toBeUndefined();
		expect(withRye.balance).toEqual(bare.balance);
		expect(withRye.days).toEqual(bare.days);
	});
	it('catches less the later it is sown, and nothing before its roots work', () => {
		const caught = (sownOn: string, endedOn = '2028-04-18') =>
			runSeason(corn(250, 3, { catchCrop: { ...catchCrop, sownOn, endedOn } }), library).catchCrop!.caught;
		expect(caught('2027-09-28')).toBeGreaterThan(caught('2027-10-20'));
		expect(caught('2027-10-20')).toBeGreaterThan(caught('2027-11-15'));
		expect(caught('2027-09-28', '2027-10-03')).toBe(0);
	});
	it('saves nothing where it does not grow', () => {
		const { caught, lost, lostWithout } = runSeason(
			corn(260, 3, { catchCrop: { ...catchCrop, sownOn: '2028-01-15', endedOn: '2028-03-20' } }),
			library
		).catchCrop!;
		expect(caught).toBe(0);
		expect(lostWithout).toBeGreaterThan(10);
		expect(lost).toBeCloseTo(lostWithout, 6);
	});
	it('takes up by heat, from its roots on, up to what it holds', () => {
		const model = library.seasonModel.catchCrops.find(({ id }) => id === 'cereal-rye')!;
		// 10 C above its least: 100 degree days are over after ten days, then 1.3 kg each.
		const warm = Array.from({ length: 80 }, () => ({ minC: 8, maxC: 20 }));
		const uptake = catchCropUptake(warm, model);
		expect(uptake[9]).toBe(0);
		expect(uptake[10]).toBeCloseTo(10 * model.kgHaPerDegreeDay, 9);
		expect(uptake.at(-1)).toBe(model.mostKgHa);
		expect(catchCropUptake([{ minC: -8, maxC: 2 }], model)).toEqual([0]);
	});
	it.each([
		[{ crop: 'moss' }, '"moss" is no catch crop of the model; known: cereal-rye'],
		[{ sownOn: '2027-06-01' }, 'must lie after the crop of the year'],
		[{ endedOn: '2027-09-28' }, 'must lie within 300 days after it was sown'],
		[{ endedOn: '2028-09-28' }, 'must lie within 300 days after it was sown']
	])('is refused for %j', (change, said) => {
		expect(() => runSeason(corn(200, 1, { catchCrop: { ...catchCrop, ...change } }), library)).toThrow(said);
		expect(catchCropModel(catchCrop, '2027-09-20', library.seasonModel).name).toBe('Cereal rye');
	});
});
