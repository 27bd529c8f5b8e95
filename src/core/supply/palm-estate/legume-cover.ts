import { figure, type Figure } from '../../figure/figure';
import type { CoverProgramme } from '../../schema-types';
import { shiftDate } from '../../season/weather/season-weather';

/** What a legume cover between young palms takes. */
export interface LegumeCover {
	/** kg, all of the ground. */
	seed: Figure;
	/** Rock phosphate that is mixed into the seed, kg. */
	phosphate: Figure;
	/** Complete fertilizer after germination, from and to, kg. */
	npk: { low: Figure; high: Figure };
	/** Its day; undefined while the seed has not come up. */
	npkOn: string | undefined;
	/** Rock phosphate where the leaves stay small and dark, kg; undefined where they do not. */
	rescue: Figure | undefined;
}

/**
 * Seed and fertilizer of a legume cover; trade practice.
 * @param hectares above 0
 * @param germinatedOn YYYY-MM-DD, where it has come up @param smallDarkLeaves the sign of too little phosphate
 */
export function legumeCover(
	programme: CoverProgramme,
	hectares: number,
	germinatedOn: string | undefined,
	smallDarkLeaves: boolean
): LegumeCover {
	const { seedKgHa, phosphatePerSeed, npkKgHa, afterGerminationDays, rescueKgHa, basis } = programme;
	const ground = figure({ label: 'ground', value: hectares, unit: 'ha', basis: 'adviser' });
	const over = (label: string, kgHa: number) =>
		figure({
			label,
			value: kgHa * hectares,
			unit: 'kg',
			formula: 'amount of a hectare x ground',
			inputs: [figure({ label: `${label} on a hectare`, value: kgHa, unit: 'kg/ha', basis }), ground],
			basis
		});
	const seed = over('legume seed', seedKgHa);
	return {
		seed,
		phosphate: figure({
			label: 'rock phosphate in the seed',
			value: seed.value * phosphatePerSeed,
			unit: 'kg',
			formula: 'seed x phosphate for each kg of seed',
			inputs: [seed, figure({ label: 'phosphate for each kg of seed', value: phosphatePerSeed, unit: 'kg/kg', basis })],
			basis
		}),
		npk: {
			low: over('complete fertilizer, at least', npkKgHa.low),
			high: over('complete fertilizer, at most', npkKgHa.high)
		},
		npkOn: germinatedOn === undefined ? undefined : shiftDate(germinatedOn, afterGerminationDays),
		rescue: smallDarkLeaves ? over('reactive rock phosphate', rescueKgHa) : undefined
	};
}
