import { figure, notApplicable, type Answer, type Figure } from '../../../figure/figure';
import type { PackSet } from '../../../packs/pack';
import { parametersOf } from '../../../packs/parameters-of';
import { sourceOf } from '../../../packs/rule-kind';
import { removal, takenOff } from '../../../rates/phosphorus-potassium/removal';
import type { Crop, FieldIrrigation, Pass, Product } from '../../../schema-types';
import { passNutrientFigure } from '../pass/pass-nutrients';
import { productOf } from '../plan-context';
import { broughtInYear } from '../../../water/irrigation';

/** The nutrients that are balanced. */
export const BALANCED = ['N', 'P2O5', 'K2O', 'S', 'Mg'] as const;
export type Balanced = (typeof BALANCED)[number];
/** Those whose balance over the years is shown; magnesium stands in the tables that go out. */
export const MAIN_BALANCED = ['N', 'P2O5', 'K2O', 'S'] as const satisfies readonly Balanced[];

/** What the book holds of a year. */
export interface YearRecord {
	year: number;
	crop: Crop;
	/** In the crop's unit; undefined while it is not in the book. */
	harvested: number | undefined;
	/** Share of the straw or stover that was taken off, 0 to 1. */
	strawShare: number;
	/** Those that were applied. */
	passes: readonly Pass[];
	/** Undefined where no water was put on. */
	irrigation?: FieldIrrigation | undefined;
	/** Undefined where none was planted after the harvest. */
	second?: HarvestedSecond | undefined;
}

/** The second crop of a year, in its own unit; its harvest is undefined while it is not in the book. */
export interface HarvestedSecond {
	crop: Crop;
	harvested: number | undefined;
}

/** A year's balance, and that of all years up to it, by nutrient; lb/ac. */
export interface YearBalance {
	year: number;
	crop: string;
	nutrients: Record<Balanced, { ofYear: Answer; together: Answer }>;
}

/**
 * What was applied less what the harvest took off, by year, and added up over the years: in with fertiliser, residues,
 * manure (of their nitrogen what the first year gets) and irrigation water, out by the guides' removal. Common practice.
 * @param records in any order
 * @returns by year, the first first; a year does not apply without its harvest or a removal, and is left out of the sum
 */
export function nutrientBalance(
	records: readonly YearRecord[],
	packs: Pick<PackSet, 'rules'>,
	products: readonly Product[]
): YearBalance[] {
	const sums = new Map<Balanced, Figure[]>(BALANCED.map((nutrient) => [nutrient, []]));
	return [...records]
		.sort((a, b) => a.year - b.year)
		.map((record) => {
			const balances = BALANCED.map((nutrient) => {
				const ofYear = balanceOf(record, nutrient, packs, products);
				const known = sums.get(nutrient)!;
				if (ofYear.applies) known.push(ofYear);
				return [nutrient, { ofYear, together: added(known, nutrient) }] as const;
			});
			return {
				year: record.year,
				crop: record.second ? `${record.crop.name}, then ${record.second.crop.name.toLowerCase()}` : record.crop.name,
				nutrients: Object.fromEntries(balances) as YearBalance['nutrients']
			};
		});
}

function balanceOf(
	{ year, crop, harvested, strawShare, passes, irrigation, second }: YearRecord,
	nutrient: Balanced,
	packs: Pick<PackSet, 'rules'>,
	products: readonly Product[]
): Answer {
	const label = `${nutrient} of ${year}`;
	const taken = [
		{ crop, harvested, strawShare, name: `harvest of ${year}` },
		...(second ? [{ ...second, strawShare: 0, name: `${second.crop.name.toLowerCase()} harvest of ${year}` }] : [])
	].map((one) => {
		if (one.harvested === undefined) {
			return notApplicable(label, `the ${one.name} is not in the book`, 'Save the harvest of that year.');
		}
		const { yieldUnit } = one.crop;
		const measured = figure({ label: one.name, value: one.harvested, unit: yieldUnit, basis: 'measured' });
		return removalOf(one.crop, nutrient, measured, one.strawShare, packs);
	});
	const out = sumOfHarvests(taken, nutrient);
	if (!out.applies) return { ...out, label };
	const inWater = irrigation && broughtInYear(irrigation)[nutrient];
	const parts = [
		...passes.map((pass) => passNutrientFigure(pass, productOf(pass, products), nutrient)),
		...(inWater?.applies ? [inWater] : [])
	].filter(({ value }) => value > 0);
	const brought = figure({
		label: `${nutrient} applied`,
		value: parts.reduce((sum, { value }) => sum + value, 0),
		unit: 'lb/ac',
		formula: parts.length > 0 ? 'sum of the passes applied and of the water' : 'none was applied',
		inputs: parts,
		basis: 'adviser'
	});
	return figure({
		label,
		value: brought.value - out.value,
		unit: 'lb/ac',
		formula: 'applied - taken off',
		inputs: [brought, out],
		basis: out.basis,
		citation: out.citation
	});
}

/** What the one or two harvests of a year take off; does not apply where one of them does not. */
function sumOfHarvests(taken: readonly Answer[], nutrient: Balanced): Answer {
	const lacking = taken.find(({ applies }) => !applies);
	const [first, ...others] = taken.filter((one) => one.applies);
	if (lacking || !first) return lacking!;
	if (others.length === 0) return first;
	const parts = [first, ...others];
	return figure({
		label: `${nutrient} taken off by both harvests`,
		value: parts.reduce((sum, { value }) => sum + value, 0),
		unit: 'lb/ac',
		formula: 'first crop + second crop',
		inputs: parts,
		basis: first.basis,
		citation: first.citation
	});
}

/**
 * What a harvest takes off of a nutrient, lb/ac, by the first guide that says how much.
 * @param harvest in the crop's unit
 * @returns does not apply where no guide gives the removal of the crop
 */
export function removalOf(
	crop: Crop,
	nutrient: Balanced,
	harvest: Figure,
	strawShare: number,
	packs: Pick<PackSet, 'rules'>
): Answer {
	const label = `${nutrient} taken off by the harvest`;
	const { rule, parameters } = removalRule(crop, nutrient, packs);
	if (!rule || !parameters) {
		const reason = `no guide says how much ${nutrient} ${crop.name.toLowerCase()} takes off`;
		return notApplicable(label, reason, 'Add its removal to a guide of your own.');
	}
	const source = sourceOf(rule.rule);
	return figure({
		label,
		value: takenOff(parameters, harvest.value, strawShare),
		unit: 'lb/ac',
		formula: 'removal x harvest',
		inputs: [
			figure({
				label: 'in each unit of yield',
				value: takenOff(parameters, 1, strawShare),
				unit: `lb per ${crop.yieldUnit.replace('/ac', '')}`,
				...source
			}),
			harvest
		],
		...source
	});
}

/**
 * The first guide's removal of a nutrient by a crop. Of nitrogen there is one that is no rate: crops are not fed by what they take off.
 */
export function removalRule(crop: Pick<Crop, 'id'>, nutrient: Balanced, packs: Pick<PackSet, 'rules'>) {
	const gives: readonly string[] = nutrient === 'N' ? ['N', 'nitrogen-removal'] : [nutrient];
	const rule = packs.rules.find((one) => gives.includes(one.rule.gives) && parametersOf(removal, one, crop.id));
	return { rule, parameters: parametersOf(removal, rule, crop.id) };
}

function added(balances: readonly Figure[], nutrient: Balanced): Answer {
	const label = `${nutrient}, all years together`;
	if (balances.length === 0) return notApplicable(label, 'no year is balanced yet', 'Save a harvest.');
	return figure({
		label,
		value: balances.reduce((sum, { value }) => sum + value, 0),
		unit: 'lb/ac',
		formula: 'sum of the years',
		inputs: [...balances],
		basis: balances[0]!.basis
	});
}
