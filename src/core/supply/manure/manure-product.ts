import type { ManureHandling, ManureKind, Product } from '../../schema-types';
import { LB_PER_SHORT_TON } from '../../units/factors';
import { firstYearNitrogen, organicNitrogen, type ManureAnalysis } from './available-nitrogen';

/** Pounds in 1000 gal of slurry; common practice (8.34 lb/gal). */
const LB_PER_1000_GAL = 8340;

/**
 * A manure as a product of the catalogue: percent by weight of what the first year gets, and what it leaves for later.
 * @param name as the adviser calls it
 */
export function manureProduct(
	id: string,
	name: string,
	analysis: ManureAnalysis,
	kind: ManureKind,
	handling: ManureHandling
): Product {
	const pounds = kind.per === 'ton' ? LB_PER_SHORT_TON : LB_PER_1000_GAL;
	const percent = (lb: number) => Math.round(((100 * lb) / pounds) * 1e6) / 1e6;
	const nitrogen = firstYearNitrogen(analysis, kind, handling);
	const slurry = kind.per === '1000 gal';
	const all = {
		N: percent(nitrogen.value),
		P2O5: percent(analysis.p2o5),
		K2O: percent(analysis.k2o),
		S: percent(analysis.s ?? 0),
		Mg: percent(analysis.mg ?? 0)
	};
	return {
		id,
		name,
		state: slurry ? 'liquid' : 'dry',
		analysis: Object.fromEntries(Object.entries(all).filter(([, value]) => value > 0)),
		placements:
			handling.id === 'injected'
				? ['injected']
				: handling.id === 'surface'
					? ['broadcast', 'top-dress']
					: ['incorporated'],
		hazards: [kind.hazard ?? 'raw-manure'],
		basis: nitrogen.basis,
		...(kind.crops ? { crops: kind.crops } : {}),
		...(nitrogen.citation ? { citation: nitrogen.citation } : {}),
		...(slurry ? { densityLbPerGal: LB_PER_1000_GAL / 1000 } : {}),
		// What the first year gets is ammonium, or turns to it.
		nitrogenForms: { nitrate: 0, ammonium: 100, urea: 0 },
		manure: {
			organicLbPerTon: (organicNitrogen(analysis) * LB_PER_SHORT_TON) / pounds,
			laterShares: [kind.mineralised[1]!, kind.mineralised[2]!],
			ammoniumPercent: percent(Math.max(0, nitrogen.value - organicNitrogen(analysis) * kind.mineralised[0]!))
		},
		own: true
	};
}

/** Nitrogen that manure of earlier years still gives, lb/ac: tons x organic N x the share of that year. */
export function laterNitrogen(poundsPerAcre: number, { manure }: Product, yearsAgo: number): number {
	const share = manure?.laterShares[yearsAgo - 1] ?? 0;
	return (poundsPerAcre / LB_PER_SHORT_TON) * (manure?.organicLbPerTon ?? 0) * share;
}
