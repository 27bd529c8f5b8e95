import { InputError } from '../../check/problem';
import { gravestFirst } from '../../figure/gravest-first';
import type { FertigationRequest, Product, WaterCaution } from '../../schema-types';
import { whyApart } from '../blend/apart-pairs';
import { formatNumber } from '../../units/display';
import { ofPhosphate } from '../../water/water-cautions';
import { injectionOrder, partsOfInjection } from './injection-order';
import { injectionOf, setTiming, type Injection } from './injection';
import { stockTanks, type StockTank } from './stock-tanks';

/** Doses as stock tanks and pump rates, and what stands against them. */
export interface FertigationPlan {
	tanks: StockTank[];
	injections: Injection[];
	/** Hours from the start of a set; undefined under a pivot. */
	timing: ReturnType<typeof setTiming>;
	/** The gravest first; nothing goes into the water while one is a stop. */
	cautions: WaterCaution[];
}

/**
 * From doses that go with the water to stock tanks, pump rates and set timing; common practice. A jar test goes before it.
 * @param request checked by schemas/fertigation.schema.json
 * @throws InputError for a product that is not in the catalogue
 */
export function planFertigation(request: FertigationRequest, products: readonly Product[]): FertigationPlan {
	const productOf = (id: string) => {
		const found = products.find((product) => product.id === id);
		if (found) return found;
		const at = request.doses.findIndex(({ product }) => product === id);
		throw new InputError([{ path: `/doses/${at}/product`, message: `"${id}" is not in the catalogue` }]);
	};
	const tanks = stockTanks(request, productOf);
	return {
		tanks,
		injections: tanks.map((tank) => injectionOf(tank, request, partsOfInjection(tanks))),
		timing: setTiming(request),
		cautions: gravestFirst([
			...tanks.flatMap(ofMixing),
			...tanks.flatMap((tank) => ofDissolving(tank, request)),
			...ofWater(tanks, request),
			...injectionOrder(tanks)
		])
	};
}

/** Pairs of a tank that do not go together. */
function ofMixing({ name, doses }: StockTank): WaterCaution[] {
	return doses.flatMap(({ product: a }, at) =>
		doses.slice(at + 1).flatMap(({ product: b }): WaterCaution[] => {
			const why = whyApart(a, b) ?? (holdsFreeCalcium(a, b) || holdsFreeCalcium(b, a) ? CALCIUM : undefined);
			if (!why) return [];
			const text = `${a.name} and ${b.name} must not meet in tank ${name}: ${why}. Put one of them into a tank of its own.`;
			return [{ code: 'tank-apart', severity: 'stop', text }];
		})
	);
}

const CALCIUM = 'calcium falls out with sulfate and phosphate';

/** Any dissolved calcium beside sulfate or phosphate, not that of calcium nitrate alone. */
function holdsFreeCalcium(a: Product, b: Product): boolean {
	const sulfate = (b.analysis.S ?? 0) > 0 && b.sulfurForm !== 'thiosulfate';
	return (a.analysis.Ca ?? 0) > 0 && (sulfate || (b.analysis.P2O5 ?? 0) > 0);
}

function ofDissolving(
	{ name, doses, fills, gallons, limitedBy }: StockTank,
	{ tankGal }: FertigationRequest
): WaterCaution[] {
	const found: WaterCaution[] = doses.flatMap(({ gallons: own, product }): WaterCaution[] => {
		if (own.applies) return [];
		const text = `Tank ${name}: ${own.reason}. ${own.remedy}`;
		const fails = product.dissolves === 'not' || product.dissolves === 'partly';
		return [
			fails ? { code: 'not-dissolved', severity: 'stop', text } : { code: 'solubility-unknown', severity: 'mind', text }
		];
	});
	if (fills.applies && fills.value > 1 && gallons.applies && limitedBy) {
		const { product, pounds } = limitedBy;
		const text = `${product.name} limits tank ${name}: ${formatNumber(pounds.value, 'lb')} lb make ${formatNumber(gallons.value, 'gal')} gal of stock, and the tank holds ${formatNumber(tankGal!, 'gal')}: fill it ${fills.value} times, or give it in more doses.`;
		found.push({ code: 'tank-full', severity: 'mind', text });
	}
	for (const { product } of doses) {
		if (product.dissolves === 'partly') {
			const text = `${product.name} as it is spread leaves a residue that clogs: buy the soluble grade, and filter.`;
			found.push({ code: 'leaves-residue', severity: 'mind', text });
		}
		if (product.dissolves !== 'slow') continue;
		const text = `${product.name} dissolves slowly and cools the tank: start with warm water, stir, and let it stand clear before it is injected.`;
		found.push({ code: 'dissolves-slowly', severity: 'note', text });
	}
	return found;
}

function ofWater(tanks: readonly StockTank[], { water, acidTo }: FertigationRequest): WaterCaution[] {
	const products = tanks.flatMap(({ doses }) => doses.map(({ product }) => product));
	const phosphate = products.some(({ analysis }) => (analysis.P2O5 ?? 0) > 0);
	if (!phosphate) return [];
	if (water?.ca === undefined || water.ph === undefined) {
		const text =
			'The calcium or pH of the water is not known: try phosphate in a jar of it before any goes into the lines.';
		return [{ code: 'water-not-known', severity: 'mind', text }];
	}
	return ofPhosphate(water, acidTo === undefined ? water.ph : Math.min(acidTo, water.ph));
}
