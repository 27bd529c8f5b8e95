import { entriesOf } from '../../check/typed-object';
import { InputError } from '../../check/problem';
import type { BlendAnswer, BlendProduct, BlendRequest, Nutrient } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { lpText, type LinearProblem, type Row, type Terms } from './lp-text';
import type { LpSolver, Solved } from './solver';

/** A use below this is a rounding error of the solver, lb/ac. */
const LEAST_USE = 1e-7;
/** A demand missed by more than this share is in the way. */
const LEAST_MISS = 1e-6;

/**
 * The least-cost mix of products that meets a demand, lb/ac, by linear programming; with a most number of products, a least
 * use, whole steps or pairs kept apart by whole numbers as well.
 * Shadow prices say what one more pound of a demand costs: with the products that are used and those that
 * could still join them.
 * @param request checked by schemas/blend-request.schema.json
 * @returns `infeasible` with the demands in the way where no mix does it
 * @throws InputError for a pair that names no product, or a product named twice
 */
export function solveBlend(request: BlendRequest, solver: LpSolver): BlendAnswer {
	checkNames(request);
	const found = solver.solve(lpText(problemOf(request)));
	if (found.Status !== 'Optimal') return conflictOf(request, solver);
	const uses = usesOf(request, found);
	return {
		status: 'optimal',
		cost: uses.reduce((sum, { id, rate }) => sum + rate * priceOf(request, id), 0),
		uses,
		delivered: deliveredBy(request, uses),
		shadowPrices: shadowPrices(request, uses, solver)
	};
}

function checkNames({ products, apart = [] }: BlendRequest): void {
	const ids = products.map(({ id }) => id);
	const twice = ids.findIndex((id, at) => ids.indexOf(id) !== at);
	if (twice >= 0) throw new InputError([{ path: `/products/${twice}/id`, message: `"${ids[twice]}" is named twice` }]);
	apart.forEach((pair, at) => {
		const stranger = pair.find((id) => !ids.includes(id));
		if (stranger !== undefined) {
			const message = `"${stranger}" is none of the products: ${ids.join(', ')}`;
			throw new InputError([{ path: `/apart/${at}`, message }]);
		}
	});
}

/** Columns are named by their place: ids may hold what the LP format does not take. */
const use = (at: number) => `x${at}`;
const taken = (at: number) => `y${at}`;
const steps = (at: number) => `z${at}`;

function problemOf(request: BlendRequest): LinearProblem {
	const { products, maxProducts, minimumUse = 0, step, apart = [] } = request;
	const chooses = maxProducts !== undefined || minimumUse > 0 || apart.length > 0;
	const all = products.map((_, at) => at);
	return {
		minimise: products.map(({ pricePerLb }, at) => [pricePerLb, use(at)] as const),
		rows: [
			...demandRows(request),
			...ceilingRows(request),
			...(chooses ? all.flatMap((at) => choiceRows(request, at)) : []),
			...(maxProducts === undefined
				? []
				: [{ name: 'count', terms: all.map((at) => [1, taken(at)] as const), most: maxProducts }]),
			...apart.map(([a, b], at) => ({
				name: `apart${at}`,
				terms: [a, b].map((id) => [1, taken(products.findIndex((one) => one.id === id))] as const),
				most: 1
			})),
			...(step === undefined
				? []
				: all.map((at) => ({
						name: `step${at}`,
						terms: [
							[1, use(at)],
							[-step, steps(at)]
						] satisfies Terms,
						least: 0,
						most: 0
					})))
		],
		binaries: chooses ? all.map(taken) : [],
		whole: step === undefined ? [] : all.map(steps)
	};
}

function demandRows({ products, demand, tolerance }: BlendRequest): Row[] {
	return entriesOf<Nutrient, number>(demand).map(([nutrient, pounds]) => ({
		name: `d_${nutrient}`,
		terms: carried(products, nutrient),
		least: pounds * (1 - (tolerance ?? 0)),
		...(tolerance === undefined ? {} : { most: pounds * (1 + tolerance) })
	}));
}

function ceilingRows({ products, ceilings = {} }: BlendRequest): Row[] {
	const row = (name: string, most: number | undefined, of: (product: BlendProduct) => number): Row[] =>
		most === undefined
			? []
			: [{ name, terms: products.map((product, at) => [of(product) / 100, use(at)] as const), most }];
	return [
		...row('chloride', ceilings.chloride, ({ chloridePercent = 0 }) => chloridePercent),
		...row('salt', ceilings.salt, ({ saltIndex = 0 }) => saltIndex)
	];
}

/** A product is used at no less than the least use and no more than any demand could ask of it, or not at all. */
function choiceRows(request: BlendRequest, at: number): Row[] {
	const { minimumUse = 0 } = request;
	const most = Math.max(minimumUse, mostUseful(request, at));
	return [
		{
			name: `most${at}`,
			terms: [
				[1, use(at)],
				[-most, taken(at)]
			],
			most: 0
		},
		{
			name: `least${at}`,
			terms: [
				[1, use(at)],
				[-minimumUse, taken(at)]
			],
			least: 0
		}
	];
}

/** More of a product than meets its hardest demand alone is never cheaper. */
function mostUseful({ products, demand, tolerance = 0, step = 0 }: BlendRequest, at: number): number {
	const { analysis } = products[at]!;
	const asked = entriesOf<Nutrient, number>(demand).map(([nutrient, pounds]) => {
		const fraction = (analysis[nutrient] ?? 0) / 100;
		return fraction === 0 ? 0 : (pounds * (1 + tolerance)) / fraction;
	});
	return Math.max(...asked) + step;
}

function carried(products: readonly BlendProduct[], nutrient: Nutrient): Terms {
	return products.map(({ analysis }, at) => [(analysis[nutrient] ?? 0) / 100, use(at)] as const);
}

function usesOf({ products }: BlendRequest, { Columns }: Solved): BlendAnswer['uses'] {
	return products
		.map(({ id }, at) => ({ id, rate: Columns[use(at)]?.Primal ?? 0 }))
		.filter(({ rate }) => rate > LEAST_USE);
}

function priceOf({ products }: BlendRequest, id: string): number {
	return products.find((product) => product.id === id)!.pricePerLb;
}

function deliveredBy({ products }: BlendRequest, uses: BlendAnswer['uses']): BlendAnswer['delivered'] {
	const delivered: Partial<Record<Nutrient, number>> = {};
	for (const { id, rate } of uses) {
		for (const [nutrient, percent] of entriesOf<Nutrient, number>(
			products.find((product) => product.id === id)!.analysis
		)) {
			delivered[nutrient] = (delivered[nutrient] ?? 0) + (rate * percent) / 100;
		}
	}
	return delivered;
}

/** What one more pound of each demand costs. */
function shadowPrices(request: BlendRequest, uses: BlendAnswer['uses'], solver: LpSolver): BlendAnswer['shadowPrices'] {
	const { demand, tolerance, ceilings } = request;
	const used = openBeside(request, uses);
	const linear: BlendRequest = {
		products: used,
		demand,
		...(tolerance === undefined ? {} : { tolerance }),
		...(ceilings === undefined ? {} : { ceilings })
	};
	if (used.length === 0) return {};
	const { Status, Rows } = solver.solve(lpText(problemOf(linear)));
	if (Status !== 'Optimal') return {};
	const dual = (name: string) => Rows.find((row) => row.Name === name)?.Dual ?? 0;
	return Object.fromEntries(
		entriesOf<Nutrient, number>(demand).map(([nutrient]) => [
			nutrient,
			dual(`d_${nutrient}`) * (1 - (tolerance ?? 0)) + dual(`d_${nutrient}_most`) * (1 + (tolerance ?? 0))
		])
	);
}

/** The products used, and those that no count, least use, step or pair keeps from joining them. */
function openBeside(
	{ products, maxProducts, minimumUse = 0, step, apart = [] }: BlendRequest,
	uses: BlendAnswer['uses']
): BlendProduct[] {
	const isUsed = (id: string) => uses.some((one) => one.id === id);
	const full = maxProducts !== undefined && uses.length >= maxProducts;
	if (full || minimumUse > 0 || step !== undefined) return products.filter(({ id }) => isUsed(id));
	const clashes = (id: string) => apart.some(([a, b]) => (a === id && isUsed(b!)) || (b === id && isUsed(a!)));
	return products.filter(({ id }) => isUsed(id) || !clashes(id));
}

/** Which demands are in the way: those that the mix nearest to all of them, each by its share, still misses. */
function conflictOf(request: BlendRequest, solver: LpSolver): BlendAnswer {
	const strict = problemOf(request);
	const demands = entriesOf<Nutrient, number>(request.demand);
	const short = (nutrient: Nutrient) => `short_${nutrient}`;
	const over = (nutrient: Nutrient) => `over_${nutrient}`;
	const elastic: LinearProblem = {
		...strict,
		minimise: demands.flatMap(([nutrient, pounds]) => [
			[1 / Math.max(pounds, 1), short(nutrient)] as const,
			[1 / Math.max(pounds, 1), over(nutrient)] as const
		]),
		rows: strict.rows.map((row) => {
			const nutrient = demands.find(([one]) => row.name === `d_${one}`)?.[0];
			if (nutrient === undefined) return row;
			return { ...row, terms: [...row.terms, [1, short(nutrient)], [-1, over(nutrient)]] satisfies Terms };
		})
	};
	const { Status, Columns } = solver.solve(lpText(elastic));
	const none = { status: 'infeasible' as const, uses: [], delivered: {}, shadowPrices: {} };
	if (Status !== 'Optimal') return { ...none, conflict: [] };
	const value = (column: string) => Columns[column]?.Primal ?? 0;
	const within = (nutrient: Nutrient) =>
		request.products.reduce((sum, { analysis }, at) => sum + ((analysis[nutrient] ?? 0) / 100) * value(use(at)), 0);
	const conflict = demands.flatMap(([nutrient, wanted]) => {
		const missed = Math.max(value(short(nutrient)), value(over(nutrient)));
		if (missed <= LEAST_MISS * Math.max(wanted, 1)) return [];
		const had = within(nutrient);
		return [{ nutrient, wanted, within: had, text: conflictText(request, nutrient, wanted, had) }];
	});
	return { ...none, conflict };
}

function conflictText({ products }: BlendRequest, nutrient: Nutrient, wanted: number, had: number): string {
	const amount = (pounds: number) => formatNumber(Math.round(pounds * 10) / 10, 'lb/ac');
	if (!products.some(({ analysis }) => (analysis[nutrient] ?? 0) > 0)) {
		return `${nutrient}: none of these products holds any; ${amount(wanted)} lb/ac are wanted.`;
	}
	return had < wanted
		? `${nutrient}: ${amount(wanted)} lb/ac are wanted, and beside the other demands these products bring ${amount(had)} at most.`
		: `${nutrient}: ${amount(wanted)} lb/ac are wanted, and the other demands bring ${amount(had)} with them.`;
}
