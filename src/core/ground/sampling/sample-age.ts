import { longDate } from '../../units/day-text';
import { isSand } from '../sand';

/** Ground as its samples age: sand changes fast, orchards are sampled yearly. */
export interface SampledGround {
	textureClass?: string | undefined;
	perennial?: boolean | undefined;
}

/** Years after which a report is old: common practice. */
const YEARS = { usual: 3, sand: 2, orchard: 1 };

/** How long a soil sample holds good, with the words for why it is not the usual time. */
export function sampleLasts({ textureClass, perennial }: SampledGround): { years: number; why: string } {
	if (perennial) return { years: YEARS.orchard, why: ' in an orchard' };
	if (isSand(textureClass)) return { years: YEARS.sand, why: ' on sand' };
	return { years: YEARS.usual, why: '' };
}

/**
 * Whether a sample is too old on a day, by whole months.
 * @param sampledOn YYYY-MM-DD
 * @param on YYYY-MM-DD
 */
export function isOldSample(sampledOn: string, ground: SampledGround, on: string): boolean {
	return monthsBetween(sampledOn, on) > sampleLasts(ground).years * 12;
}

/**
 * Why a field is due for sampling by a day; undefined where it is not.
 * @param sampledOn of the newest sample; undefined where there is none with a date
 * @param on YYYY-MM-DD
 */
export function sampleDue(sampledOn: string | undefined, ground: SampledGround, on: string): string | undefined {
	if (sampledOn === undefined) return 'none with a date is in the book';
	return isOldSample(sampledOn, ground, on) ? `the last is of ${longDate(sampledOn)}` : undefined;
}

/** The day by which the samples of a year's crops should be young enough: spring, when the first plans go out. */
export function samplingDay(year: number): string {
	return `${year}-04-01`;
}

/** Whole months from one day to another, by the calendar's months. */
export function monthsBetween(from: string, to: string): number {
	return monthOf(to) - monthOf(from);
}

/** Months since the year 0. */
function monthOf(date: string): number {
	return Number(date.slice(0, 4)) * 12 + Number(date.slice(5, 7));
}
