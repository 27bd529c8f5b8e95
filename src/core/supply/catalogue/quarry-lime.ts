import { withoutEmpty } from '../../check/typed-object';
import type { LimingMaterial, Product } from '../../schema-types';
import { plainNumber } from '../../units/display';

/** The sieves that a quarry tests, mesh to the inch, coarse first: common practice. */
export const SIEVES = [8, 60] as const;

/** A quarry's test of its lime, percent. */
export interface QuarryTest {
	/** CaCO3 equivalent of dry weight. */
	neutralizingValuePercent: number;
	/** Passing 8 mesh. */
	through8Percent: number;
	/** Passing 60 mesh. */
	through60Percent: number;
	moisturePercent?: number | undefined;
	magnesiumPercent?: number | undefined;
}

/** The card of a lime by its quarry's test. */
export function quarryLime(name: string, test: QuarryTest): Omit<Product, 'id'> {
	const { neutralizingValuePercent, through8Percent, through60Percent, moisturePercent, magnesiumPercent } = test;
	return {
		name,
		state: 'dry',
		analysis: magnesiumPercent ? { Mg: magnesiumPercent } : {},
		lime: withoutEmpty({
			name,
			neutralizingValuePercent,
			passing: [
				{ mesh: SIEVES[0], percent: through8Percent },
				{ mesh: SIEVES[1], percent: through60Percent }
			],
			moisturePercent,
			magnesiumPercent
		}),
		placements: ['broadcast', 'incorporated'],
		hazards: ['lime-dust'],
		dissolves: 'not',
		basis: 'adviser'
	};
}

/** What is wrong with a sieve test: a finer sieve lets more through than a coarser one. A sentence, or undefined. */
export function sieveFault(lime: LimingMaterial | undefined): string | undefined {
	const sieves = [...(lime?.passing ?? [])].sort((a, b) => a.mesh - b.mesh);
	for (const [at, finer] of sieves.entries()) {
		const coarser = sieves[at - 1];
		if (!coarser || finer.percent <= coarser.percent) continue;
		const share = ({ mesh, percent }: typeof finer) => `${plainNumber(percent, '')} % through ${mesh} mesh`;
		return `${share(finer)} is more than ${share(coarser)}: the finer sieve lets less through.`;
	}
	return undefined;
}
