import type { Additive, Pass, Product } from '../schema-types';
import { additivesOf } from '../season/plan/pass/pass-cost';
import { poundsPerAcre } from '../season/plan/pass/pass-nutrients';
import { LB_PER_SHORT_TON } from '../units/factors';
import { valueInSystem, type UnitSystem } from '../units/rate-units';

/** An open pass of a field, as an order sees it. */
export interface OpenPass {
	fieldId: string;
	field: string;
	grower: string;
	/** Those of the grower. */
	units: UnitSystem;
	/** Undefined where it is not known. */
	acres: number | undefined;
	pass: Pass;
	/** lb by its newest prescription, which stands in place of rate x acres. */
	prescribedLb?: number;
}

/** What one field takes of a product. */
export interface OrderPart {
	fieldId: string;
	field: string;
	grower: string;
	pounds: number;
	/** Its first pass with the product. */
	firstDate: string;
}

/** What the book takes of a product. */
export interface OrderLine {
	product: Product;
	/** lb over all fields with a known area: the sum of the parts. */
	pounds: number;
	gallons: number | undefined;
	/** In steps that can be bought, no less than what is needed. */
	toBuy: { amount: number; unit: 'short tons' | 'gal' | 't' | 'L' };
	parts: OrderPart[];
	/** Fields left out because their area is not known. */
	withoutArea: string[];
	firstDate: string;
}

/** What can be bought: dry goods and lime by a tenth of a ton, liquids by ten gallons or fifty litres; trade practice. */
const STEP = { tons: 0.1, us: 10, metric: 50 } as const;
/** Sums of decimals may pass a step by a hair. */
const SLACK = 1e-9;

/**
 * The order of a book: each product once, with what each field takes; in order of the first pass that needs it.
 * @param units in which it is bought; pounds are counted in either
 */
export function orderOf(
	open: readonly OpenPass[],
	products: readonly Product[],
	units: UnitSystem = 'us'
): OrderLine[] {
	const byProduct = new Map<string, OpenPass[]>();
	for (const one of open) {
		const list = byProduct.get(one.pass.product);
		if (list) list.push(one);
		else byProduct.set(one.pass.product, [one]);
	}
	const cards = new Map(products.map((product) => [product.id, product]));
	return [...byProduct]
		.map(([id, passes]) => lineOf(cards.get(id)!, passes, units))
		.sort((a, b) => a.firstDate.localeCompare(b.firstDate));
}

/** Acres that each additive goes on, over all open passes with a known area; in order of its name. */
export function treatedAcres(open: readonly OpenPass[]): { additive: Additive; acres: number }[] {
	const acresOf = new Map<Additive, number>();
	for (const { acres = 0, pass } of open) {
		for (const additive of additivesOf(pass))
			acresOf.set(additive, (acresOf.get(additive) ?? 0) + acres * (pass.share ?? 1));
	}
	return [...acresOf]
		.map(([additive, acres]) => ({ additive, acres }))
		.sort((a, b) => (a.additive < b.additive ? -1 : 1));
}

function lineOf(product: Product, passes: readonly OpenPass[], units: UnitSystem): OrderLine {
	const parts = new Map<string, OrderPart>();
	const withoutArea = new Set<string>();
	for (const { fieldId, field, grower, acres, pass, prescribedLb } of passes) {
		if (acres === undefined && prescribedLb === undefined) {
			withoutArea.add(field);
			continue;
		}
		const pounds = prescribedLb ?? poundsPerAcre(pass, product) * acres!;
		const part = parts.get(fieldId);
		if (!part) parts.set(fieldId, { fieldId, field, grower, pounds, firstDate: pass.date });
		else {
			part.pounds += pounds;
			if (pass.date < part.firstDate) part.firstDate = pass.date;
		}
	}
	const list = [...parts.values()];
	const pounds = list.reduce((sum, part) => sum + part.pounds, 0);
	const gallons = product.densityLbPerGal === undefined ? undefined : pounds / product.densityLbPerGal;
	const byGallon = product.state === 'liquid' && gallons !== undefined;
	return {
		product,
		pounds,
		gallons,
		toBuy: byGallon
			? { amount: upTo(valueInSystem(gallons, 'gal', units), STEP[units]), unit: units === 'us' ? 'gal' : 'L' }
			: {
					amount: upTo(valueInSystem(pounds / LB_PER_SHORT_TON, 'short tons', units), STEP.tons),
					unit: units === 'us' ? 'short tons' : 't'
				},
		parts: list,
		withoutArea: [...withoutArea],
		firstDate: passes.reduce((first, { pass }) => (pass.date < first ? pass.date : first), passes[0]!.pass.date)
	};
}

function upTo(amount: number, step: number): number {
	return Math.round(Math.ceil(amount / step - SLACK) * step * 10) / 10;
}
