import type { WaterRequest } from '$core/schema-types';
import { numberOrUndefined } from '../forms/numbers';

/** Values of a report as they are typed, by their key in the request. */
export type TypedWater = Record<string, string>;

interface Field {
	key: keyof WaterRequest['water'];
	name: string;
	/** In place of the unit of the report. */
	unit?: string;
	least?: number;
	most: number;
}

/** Values of a report in the order of a lab's printout. */
export const REPORT: readonly Field[] = [
	{ key: 'ec', name: 'EC', unit: 'dS/m', least: 0.01, most: 60 },
	{ key: 'ph', name: 'pH', unit: '', least: 3, most: 11 },
	{ key: 'ca', name: 'Ca', most: 100_000 },
	{ key: 'mg', name: 'Mg', most: 100_000 },
	{ key: 'na', name: 'Na', most: 100_000 },
	{ key: 'k', name: 'K', most: 100_000 },
	{ key: 'hco3', name: 'HCO3', most: 100_000 },
	{ key: 'co3', name: 'CO3', most: 100_000 },
	{ key: 'cl', name: 'Cl', most: 100_000 },
	{ key: 'so4', name: 'SO4', most: 100_000 },
	{ key: 'no3n', name: 'NO3-N', most: 100_000 },
	{ key: 'b', name: 'B', unit: 'ppm', most: 100_000 },
	{ key: 'fe', name: 'Fe', unit: 'ppm', most: 100_000 },
	{ key: 'mn', name: 'Mn', unit: 'ppm', most: 100_000 }
];

/** What else is asked. */
export const ASKED = {
	ece: { name: 'Salt of the soil, ECe', least: 0.1, most: 60 },
	acidTo: { name: 'pH to bring it to', least: 5, most: 8.5 },
	inchesPerSeason: { name: 'Water put on', least: 0.1, most: 200 },
	irrigationsPerWeek: { name: 'Irrigations a week', least: 1, most: 50 },
	acidPrice: { name: 'Sulfuric acid, 100 %', least: 0, most: 100 }
} as const;

/** The request behind what was typed, or what is wrong with it. */
export function readWater(
	typed: TypedWater,
	about: Pick<WaterRequest, 'crop' | 'sprinkled'> & { unit: WaterRequest['water']['unit'] }
): WaterRequest | string {
	const { unit, ...rest } = about;
	const values: Record<string, number> = {};
	for (const { key, name, least = 0, most } of [
		...REPORT,
		...Object.entries(ASKED).map(([key, field]) => ({ key, ...field }))
	]) {
		const text = typed[key]?.trim() ?? '';
		if (text === '') continue;
		const value = numberOrUndefined(text);
		if (value === undefined || value < least || value > most) {
			return `${name} “${text}” must be a number from ${least} to ${most}.`;
		}
		values[key] = value;
	}
	const asked = Object.keys(ASKED);
	const only = (wanted: boolean) =>
		Object.fromEntries(Object.entries(values).filter(([key]) => asked.includes(key) === wanted));
	return { water: { unit, ...only(false) }, ...rest, ...only(true) };
}
