import type { BlendRequest, Nutrient, Pass, Product } from '../../schema-types';
import { productOf } from '../../season/plan/plan-context';
import { passNutrients } from '../../season/plan/pass/pass-figures';
import { LB_PER_SHORT_TON } from '../../units/factors';
import { apartPairs } from './apart-pairs';

/** Products that a dry mix can be made of: dry, no lime, no manure, with a price by the ton. */
export function shelfOf(products: readonly Product[], prices: ReadonlyMap<string, number>): Product[] {
	return products.filter(({ id, lime, state, manure }) => prices.has(id) && !lime && state === 'dry' && !manure);
}

/** What some passes carry together, lb/ac: what a mix in their place must carry. */
export function demandOf(passes: readonly Pass[], products: readonly Product[]): Partial<Record<Nutrient, number>> {
	const demand: Partial<Record<Nutrient, number>> = {};
	for (const pass of passes) {
		for (const { nutrient, pounds } of passNutrients(pass, productOf(pass, products))) {
			demand[nutrient] = (demand[nutrient] ?? 0) + pounds.value;
		}
	}
	return demand;
}

/** What the adviser sets for a mix; undefined where it is free. */
export interface MixLimits {
	/** How far it may miss each nutrient, %. */
	tolerancePercent: number | undefined;
	maxProducts: number | undefined;
	/** Least use of one product, lb/ac. */
	minimumUse: number | undefined;
	/** lb/ac. */
	chloride: number | undefined;
	/** Index x lb/ac / 100. */
	salt: number | undefined;
}

/** The request for the least-cost mix of these products, priced in $ per short ton. */
export function mixRequest(
	products: readonly Product[],
	prices: ReadonlyMap<string, number>,
	demand: Partial<Record<Nutrient, number>>,
	{ tolerancePercent, maxProducts, minimumUse, chloride, salt }: MixLimits
): BlendRequest {
	const ceilings = {
		...(chloride === undefined ? {} : { chloride }),
		...(salt === undefined ? {} : { salt })
	};
	const pairs = apartPairs(products);
	return {
		products: products.map(({ id, name, analysis, chloridePercent, saltIndex }) => ({
			id,
			name,
			analysis,
			pricePerLb: prices.get(id)! / LB_PER_SHORT_TON,
			...(chloridePercent === undefined ? {} : { chloridePercent }),
			...(saltIndex === undefined ? {} : { saltIndex })
		})),
		demand,
		...(tolerancePercent === undefined ? {} : { tolerance: tolerancePercent / 100 }),
		...(maxProducts ? { maxProducts: Math.round(maxProducts) } : {}),
		...(minimumUse === undefined ? {} : { minimumUse }),
		...(Object.keys(ceilings).length > 0 ? { ceilings } : {}),
		...(pairs.length > 0 ? { apart: pairs } : {})
	};
}

/** The passes of a mix, all in one trip on the day of the first pass that it takes the place of. */
export function mixPasses(
	uses: readonly { id: string; rate: number }[],
	replaced: readonly Pass[],
	reason: string
): Pass[] {
	const first = [...replaced].sort((a, b) => a.date.localeCompare(b.date))[0];
	if (!first) return [];
	return uses.map(({ id, rate }, at) => ({
		id: `mix-${at}`,
		date: first.date,
		label: uses.length > 1 ? `Mix, part ${at + 1}` : 'Mix',
		product: id,
		rate: Math.round(rate * 1000) / 1000,
		unit: 'lb/ac',
		placement: first.placement,
		reason,
		...(uses.length > 1 ? { trip: `mix-${first.date}` } : {})
	}));
}
