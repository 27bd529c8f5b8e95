import { inSystem, unitInSystem, type UnitSystem } from '../../units/rate-units';
import { figure, type Figure } from '../../figure/figure';
import type { AdaptiveChance, ProgrammeOutcome } from '../model/stress-test';

/**
 * What stands behind what deciding within the season brings: the means of both programmes over the same simulated seasons.
 * @param programmes those that were tried
 * @param yieldUnit of the crop, with the weight of its bushel
 * @returns over all seasons, and over the wettest fifth
 */
export function adaptiveFigures(
	{ plan, against, unit, gain, seasons, wetSeasons }: AdaptiveChance,
	programmes: readonly ProgrammeOutcome[],
	yieldUnit: string,
	units: UnitSystem
): { mean: Figure; wet: Figure } {
	const inMoney = unit === '$/ac';
	const meansOf = (name: string) => {
		const found = programmes.find((one) => one.name === name)!;
		return inMoney ? found.returnOverN! : found.yield;
	};
	const [own, other] = [meansOf(plan), meansOf(against)];
	const kept = inMoney ? '$/ac' : yieldUnit;
	const shown = unitInSystem(kept, 'us');
	const apart = (of: 'mean' | 'wet', label: string, count: number): Figure => {
		const part = (name: string, value: number) =>
			figure({
				label: name,
				value,
				unit: shown,
				formula: inMoney ? 'mean of yield x price - nitrogen passes, those decided on in it' : 'mean of the yields',
				basis: 'practice'
			});
		const difference = figure({
			label: `“${plan}” against “${against}”, ${label}`,
			value: gain[of],
			unit: shown,
			formula: `mean of ${count} simulated seasons, the same weather for both: one - the other`,
			inputs: [part(plan, own[of]), part(against, other[of])],
			basis: 'practice',
			wouldChange: ['the limit and the day of the decision', 'prices', 'drainage and texture of the ground']
		});
		return units === 'us' ? difference : (inSystem({ ...difference, unit: kept }, units) as Figure);
	};
	return { mean: apart('mean', 'all seasons', seasons), wet: apart('wet', 'the wettest fifth', wetSeasons) };
}
