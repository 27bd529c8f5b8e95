import { yieldUnitOf } from '../../../../core/units/rate-units';
import { BALANCED, type Balanced } from '../../../../core/season/plan/balance/nutrient-balance';
import {
	bookYear,
	meanByAcres,
	nitrogenBand,
	removalsOf,
	type YearNumbers
} from '../../../../core/season/plan/balance/book-year';
import { appliedOf, whatHappened } from '../../../../core/season/applied/what-happened';
import type { Crop } from '../../../../core/schema-types';
import { planningYear } from '../../field/planning-year';
import { yearOf } from '../../field/year-of';
import { harvestedSecond } from '../../field/year-record';
import { listWaterSources, irrigationOf } from '../../stores/water/water-sources';
import { listBookedYears, yearsOfBook, type BookedYearRow } from '../../stores/plan/booked-years';
import { pricesOn, type PriceList } from '../../stores/prices';
import type { Desk } from '../../desk';

/** What the years are told by. */
const TOLD_BY = ['field', 'grower', 'book'] as const;
type ToldBy = (typeof TOLD_BY)[number];

/** Lines that a PDF takes: more would keep the server busy for long, and nobody reads them on paper. */
export const MOST_PRINTED = 1000;

/** Years shown where none are asked for. */
const USUAL_YEARS = 3;

/** One line: a field, a grower or the whole book in a year. Amounts are by the acre in US units; of several fields, means by acres. */
interface YearLine {
	key: string;
	fieldId?: string;
	name: string;
	grower: string;
	year: number;
	crop: string;
	fields: number;
	acres: number;
	/** Harvest as a share of the goal, 0 to 1 and more. */
	ofGoal?: number;
	goal?: number;
	harvested?: number;
	yieldUnit?: string;
	plannedN: number;
	appliedN: number;
	balance: Partial<Record<Balanced, number>>;
	/** Sum of the years shown. */
	running: Partial<Record<Balanced, number>>;
	band?: 'short' | 'near' | 'high';
	cost?: number;
	costPerYield?: number;
	acidity?: number;
	lime: number;
}

/** The book over the years: applied against planned, balances with running totals, cost, lime to offset acidity beside the lime that went on. */
export function yearsPage(desk: Desk, query: URLSearchParams) {
	const { book, today, settings } = desk;
	const there = yearsOfBook(book);
	const until = query.get('to');
	const since = query.get('from');
	const to = until ? yearOf(until) : Math.min(there?.last ?? planningYear(today), planningYear(today) - 1);
	const from = since ? yearOf(since) : Math.max(there?.first ?? to, to - USUAL_YEARS + 1);
	const asked = query.get('by');
	const by: ToldBy = TOLD_BY.find((one) => one === asked) ?? 'field';
	return {
		title: 'Over the years',
		from,
		to,
		by,
		there,
		units: settings.units,
		mostPrinted: MOST_PRINTED,
		lines: linesOf(desk, from, to, by)
	};
}

interface Told {
	row: BookedYearRow;
	crop: Crop;
	numbers: YearNumbers;
}

function linesOf(desk: Desk, from: number, to: number, by: ToldBy): YearLine[] {
	const groups = new Map<string, Told[]>();
	for (const one of toldYears(desk, from, to)) {
		const of = { field: one.row.fieldId, grower: one.row.grower, book: '' }[by];
		const key = `${of} ${one.row.year}`;
		const group = groups.get(key);
		if (group) group.push(one);
		else groups.set(key, [one]);
	}
	const lines = [...groups].map(([key, told]) => lineOf(key, told, by));
	const running = new Map<string, Partial<Record<Balanced, number>>>();
	for (const line of lines.sort((a, b) => a.year - b.year)) {
		const of = { field: line.fieldId ?? '', grower: line.grower, book: '' }[by];
		const sum = { ...running.get(of) };
		for (const nutrient of BALANCED) {
			const balance = line.balance[nutrient];
			if (balance !== undefined) sum[nutrient] = (sum[nutrient] ?? 0) + balance;
		}
		running.set(of, sum);
		line.running = sum;
	}
	return lines.sort((a, b) => a.grower.localeCompare(b.grower) || a.name.localeCompare(b.name) || b.year - a.year);
}

function toldYears({ book, library, today }: Desk, from: number, to: number): Told[] {
	const { crops, packs, products } = library;
	const known = new Map(crops.map((crop) => [crop.id, crop]));
	const sources = listWaterSources(book);
	const removals = removalsOf(packs);
	const prices = new Map<number, PriceList>();
	/** What things cost at the end of that year, or now. */
	const pricesOf = (year: number) => {
		const day = `${year}-12-31` < today ? `${year}-12-31` : today;
		const list = prices.get(year) ?? pricesOn(book, day);
		prices.set(year, list);
		return list;
	};
	return listBookedYears(book, from, to).flatMap((row) => {
		const crop = known.get(row.crop);
		if (!crop) return [];
		const list = pricesOf(row.year);
		const numbers = bookYear(
			{
				crop,
				goal: row.yield_goal,
				harvested: row.harvested_yield ?? undefined,
				strawShare: (row.residue_removed_percent ?? 0) / 100,
				planned: row.passes.map(({ plan }) => plan),
				applied: appliedOf(whatHappened(row.passes)),
				irrigation: irrigationOf(row, sources),
				second: harvestedSecond(row, crops)
			},
			removals,
			products,
			(item) => list.get(item)
		);
		return [{ row, crop, numbers }];
	});
}

function lineOf(key: string, told: readonly Told[], by: ToldBy): YearLine {
	const [{ row, crop }] = told as [Told];
	const alone = by === 'field';
	// A field without an area counts as one acre, so that it is not lost among the others.
	const acresOf = (one: Told) => one.row.areaAc ?? 1;
	const mean = (of: (one: Told) => number | undefined) => meanByAcres(told, acresOf, of);
	const balance: Partial<Record<Balanced, number>> = {};
	for (const nutrient of BALANCED) {
		const value = mean(({ numbers }) => numbers.balance[nutrient]);
		if (value !== undefined) balance[nutrient] = value;
	}
	const crops = [...new Set(told.map((one) => one.crop.name))];
	const harvested = row.harvested_yield;
	const ofGoal = mean((one) =>
		one.row.harvested_yield === null ? undefined : one.row.harvested_yield / one.row.yield_goal
	);
	const cost = mean(({ numbers }) => numbers.cost);
	const acidity = mean(({ numbers }) => numbers.acidity);
	const band = nitrogenBand(balance.N);
	return {
		key,
		name: { field: row.field, grower: row.grower, book: 'Whole book' }[by],
		grower: by === 'book' ? '' : row.grower,
		year: row.year,
		crop:
			crops.length > 3
				? `${crops.length} crops`
				: crops.map((one, at) => (at === 0 ? one : one.toLowerCase())).join(', '),
		fields: told.length,
		acres: told.reduce((sum, one) => sum + (one.row.areaAc ?? 0), 0),
		plannedN: mean(({ numbers }) => numbers.planned.N) ?? 0,
		appliedN: mean(({ numbers }) => numbers.applied.N) ?? 0,
		balance,
		running: {},
		lime: mean(({ numbers }) => numbers.lime) ?? 0,
		...(alone ? { fieldId: row.fieldId, goal: row.yield_goal, yieldUnit: yieldUnitOf(crop) } : {}),
		...(alone && harvested !== null ? { harvested } : {}),
		...(ofGoal === undefined ? {} : { ofGoal }),
		...(band === undefined ? {} : { band }),
		...(cost === undefined ? {} : { cost }),
		...(alone && told[0]!.numbers.costPerYield !== undefined ? { costPerYield: told[0]!.numbers.costPerYield } : {}),
		...(acidity === undefined ? {} : { acidity })
	};
}

export type YearsPage = ReturnType<typeof yearsPage>;
