import { differenceInCalendarDays, parseISO } from 'date-fns';

/** How long ago, in the unit a person would use: "3 weeks", "14 months", "5 years". */
export function ageText(day: string, today: string): string {
	const days = differenceInCalendarDays(parseISO(today), parseISO(day));
	if (days < 0) return 'in the future';
	if (days < 14) return days === 1 ? '1 day' : `${days} days`;
	if (days < 60) return `${Math.round(days / 7)} weeks`;
	if (days < 730) return `${Math.round(days / 30.4)} months`;
	return `${Math.floor(days / 365.25)} years`;
}
