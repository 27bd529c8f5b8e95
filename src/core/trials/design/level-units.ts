import type { TrialPlan } from '../../schema-types';
import { unitInSystem, valueFromSystem, valueInSystem, type UnitSystem } from '../../units/rate-units';

/** Units that rates of a trial may have, as the book counts them; each has its metric twin ("kg N/ha"). */
const US_UNITS = ['lb N/ac', 'lb P2O5/ac', 'lb K2O/ac', 'lb S/ac', 'lb/ac', 'gal/ac', 'short ton/ac'] as const;
/** Levels of a question that are put into metric units come out even: kg and L in steps of 5, tons in halves. */
const STEPS: Readonly<Record<string, number>> = { 'kg/ha': 5, 'L/ha': 5, 't/ha': 0.5 };

type Factor = TrialPlan['factors'][number];

/** The nutrient in a unit, which stands between mass and area: N of "lb N/ac". */
function parts(unit: string): { base: string; nutrient: string } {
	const match = /^(\S+) (\S+)\/(\S+)$/.exec(unit);
	// "short ton/ac" has a space of its own.
	if (!match || match[1] === 'short') return { base: unit, nutrient: '' };
	return { base: `${match[1]}/${match[3]}`, nutrient: ` ${match[2]}` };
}

function shownIn(unit: string, units: UnitSystem): string {
	const { base, nutrient } = parts(unit);
	const [mass, area] = unitInSystem(base, units).split('/') as [string, string];
	return `${mass}${nutrient}/${area}`;
}

/** Units for the levels of a factor, in the reader's system. */
export function levelUnits(units: UnitSystem): string[] {
	return US_UNITS.map((unit) => shownIn(unit, units));
}

/** The unit of the book in which rates of a unit are counted: "lb N/ac" of "kg N/ha"; any other as it is. */
export function usUnitOf(unit: string): string {
	return US_UNITS.find((one) => shownIn(one, 'metric') === unit) ?? unit;
}

/** A level of a factor of rates in the unit of the book: lb, gal or short tons per acre. */
export function usLevel({ unit = '' }: Factor, level: string): number {
	const us = usUnitOf(unit);
	return us === unit ? Number(level) : valueFromSystem(Number(level), parts(us).base, 'metric');
}

/** A number of the book, as what is advised, in the unit of a factor. */
export function inUnitOf({ unit = '' }: Factor, value: number): number {
	const us = usUnitOf(unit);
	return us === unit ? value : valueInSystem(value, parts(us).base, 'metric');
}

/** A factor of a question in the reader's units, its levels even. */
export function factorIn(factor: Factor, units: UnitSystem): Factor {
	const { unit } = factor;
	if (unit === undefined || units === 'us' || !US_UNITS.some((one) => one === unit)) return factor;
	const { base } = parts(unit);
	const step = STEPS[unitInSystem(base, units)]!;
	const even = (level: string) => String(Math.round(valueInSystem(Number(level), base, units) / step) * step);
	return { ...factor, unit: shownIn(unit, units), levels: factor.levels.map(even) };
}
