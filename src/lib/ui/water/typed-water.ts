import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
import { keptAmount, typedAmount } from '../forms/typed-amount';
import type { WaterRequest } from '$core/schema-types';
import { waterValueLimits } from '$core/water/report-limits';
import { numberOrUndefined } from '../forms/numbers';

/** Values of a report as they are typed, by their key in the request. */
export type TypedWater = Record<string, string>;

interface Field {
	key: string;
	name: string;
	/** In place of the unit of the report. */
	unit?: string;
}

/** Values of a report in the order of a lab's printout. */
export const REPORT: readonly (Field & { key: keyof WaterRequest['water'] })[] = [
	{ key: 'ec', name: 'EC', unit: 'dS/m' },
	{ key: 'ph', name: 'pH', unit: '' },
	{ key: 'ca', name: 'Ca' },
	{ key: 'mg', name: 'Mg' },
	{ key: 'na', name: 'Na' },
	{ key: 'k', name: 'K' },
	{ key: 'hco3', name: 'HCO3' },
	{ key: 'co3', name: 'CO3' },
	{ key: 'cl', name: 'Cl' },
	{ key: 'so4', name: 'SO4' },
	{ key: 'no3n', name: 'NO3-N' },
	{ key: 'b', name: 'B', unit: 'ppm' },
	{ key: 'fe', name: 'Fe', unit: 'ppm' },
	{ key: 'mn', name: 'Mn', unit: 'ppm' }
];

/** What else is asked. */
export const ASKED: readonly (Required<Field> & {
	key: keyof WaterRequest;
	/** Unit by which it is converted, where it is not the one that is shown. */
	kept?: string;
})[] = [
	{ key: 'ece', name: 'Salt of the soil, ECe', unit: 'dS/m' },
	{ key: 'acidTo', name: 'pH to bring it to', unit: '' },
	{ key: 'inchesPerSeason', name: 'Water put on', unit: 'in', kept: 'in of water' },
	{ key: 'irrigationsPerWeek', name: 'Irrigations a week', unit: '' },
	{ key: 'acidPrice', name: 'Sulfuric acid, 100 %', unit: '$/lb' }
];

/** In which unit something is typed by a reader of these units. */
export function askedUnit({ unit, kept = unit }: (typeof ASKED)[number], units: UnitSystem): string {
	return units === 'us' ? unit : unitInSystem(kept, units).replace(' of water', '');
}

/** The request behind what was typed, or what is wrong with it. */
export function readWater(
	typed: TypedWater,
	about: Pick<WaterRequest, 'crop' | 'sprinkled'> & { unit: WaterRequest['water']['unit'] },
	units: UnitSystem = 'us'
): WaterRequest | string {
	const { unit, ...rest } = about;
	const values: Record<string, number> = {};
	for (const field of [...REPORT, ...ASKED]) {
		const { key, name } = field;
		const kept = 'kept' in field && field.kept ? field.kept : (field.unit ?? '');
		const text = typed[key]?.trim() ?? '';
		if (text === '') continue;
		const value = keptAmount(text, undefined, kept, units);
		const { minimum, maximum } = waterValueLimits(key);
		const shown = (bound: number) => Number(typedAmount(bound, kept, units));
		if (value === undefined || value < minimum || value > maximum) {
			return `${name} “${text}” must be a number from ${shown(minimum)} to ${shown(maximum)}.`;
		}
		values[key] = value;
	}
	const titration = readTitration(typed.titration ?? '');
	if (typeof titration === 'string') return titration;
	const asked: readonly string[] = ASKED.map(({ key }) => key);
	const only = (wanted: boolean) =>
		Object.fromEntries(Object.entries(values).filter(([key]) => asked.includes(key) === wanted));
	return { water: { unit, ...only(false) }, ...rest, ...only(true), ...(titration ? { titration } : {}) };
}

/** The points of a bench titration, meq/L of acid and the pH it gave, one to a line. */
function readTitration(text: string): WaterRequest['titration'] | string {
	const lines = text.split('\n').filter((line) => line.trim() !== '');
	if (lines.length === 0) return undefined;
	const points: NonNullable<WaterRequest['titration']> = [];
	for (const line of lines) {
		const [acid, ph, more] = line.trim().split(/[\s,;]+/);
		const [meqPerL, found] = [numberOrUndefined(acid), numberOrUndefined(ph)];
		if (meqPerL === undefined || meqPerL < 0 || found === undefined || found < 1 || found > 12 || more !== undefined) {
			return `The titration “${line.trim()}” must be acid in meq/L and the pH it gave, such as “1.5 6.6”.`;
		}
		points.push({ meqPerL, ph: found });
	}
	return points.length < 2 ? 'A titration needs at least two points.' : points;
}

/** A report of the book as it would be typed. */
export function typedOf(water: WaterRequest['water']): TypedWater {
	return Object.fromEntries(REPORT.flatMap(({ key }) => (water[key] === undefined ? [] : [[key, String(water[key])]])));
}
