import type { WeatherOfDay } from '../schema-types';
import { formatNumber } from './display';
import { MM_PER_IN } from './factors';
import type { UnitSystem } from './rate-units';

/** Degrees Celsius as the reader counts them. */
export const warmthIn = (units: UnitSystem, celsius: number): number => (units === 'us' ? celsius * 1.8 + 32 : celsius);

/** Millimetres of rain as the reader counts them: inches or millimetres. */
export const rainIn = (units: UnitSystem, mm: number): number => (units === 'us' ? mm / MM_PER_IN : mm);

export const rainUnit = (units: UnitSystem): 'in' | 'mm' => (units === 'us' ? 'in' : 'mm');

/** Rain in a sentence, of millimetres: "0.5 in", or "13 mm". */
export function rainText(mm: number, units: UnitSystem): string {
	return `${formatNumber(rainIn(units, mm), rainUnit(units))} ${rainUnit(units)}`;
}

/** "50 F", or "10 C". */
export function warmthText(celsius: number, units: UnitSystem): string {
	return `${Math.round(warmthIn(units, celsius))} ${units === 'us' ? 'F' : 'C'}`;
}

/** A day's weather in a few words: "41 to 57 F, 0.2 in rain". */
export function weatherText({ minC, maxC, rainMm }: Omit<WeatherOfDay, 'station'>, units: UnitSystem): string {
	const warm = (celsius: number) => formatNumber(Math.round(warmthIn(units, celsius)), 'F');
	const rain = rainMm === 0 ? 'no rain' : `${rainText(rainMm, units)} rain`;
	return `${warm(minC)} to ${warm(maxC)} ${units === 'us' ? 'F' : 'C'}, ${rain}`;
}
