import { DAY_MS } from '../../units/factors';
import { shiftDate } from '../weather/season-weather';

/** A span of days. */
export interface TimeAxis {
	from: string;
	days: number;
}

/** Days of room before the first and after the last thing shown. */
const ROOM_DAYS = 12;

/** From the month of the first of these days to some days after the last. */
export function axisOver(dates: readonly string[]): TimeAxis {
	const first = dates.reduce((a, b) => (b < a ? b : a));
	const last = dates.reduce((a, b) => (b > a ? b : a));
	const from = `${shiftDate(first, -ROOM_DAYS).slice(0, 7)}-01`;
	return { from, days: Math.round((Date.parse(last) - Date.parse(from)) / DAY_MS) + ROOM_DAYS };
}
