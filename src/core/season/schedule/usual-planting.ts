import type { Schedule } from '../../schema-types';

/** The planting date a schedule takes where the adviser has set none. */
export function usualPlantingDate({ usualPlanting }: Schedule, year: number): string {
	return `${year + usualPlanting.yearOffset}-${usualPlanting.monthDay}`;
}
