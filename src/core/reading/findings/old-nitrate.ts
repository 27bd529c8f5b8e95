import { differenceInCalendarDays, parseISO } from 'date-fns';
import { longDate } from '../../units/day-text';
import type { ReportCheck } from './finding';

/** Days for which a nitrate test describes the soil in season: common practice. */
const DAYS = 30;

/** From September to March a sample of this autumn still describes the ground; month numbers. */
const AUTUMN_FROM = 9;
const SPRING_FROM = 4;

function isDormant(date: string): boolean {
	const month = Number(date.slice(5, 7));
	return month >= AUTUMN_FROM || month < SPRING_FROM;
}

/** Taken since the autumn that this winter began with. */
function isSameWinter(sampled: string, asOf: string): boolean {
	const year = Number(asOf.slice(0, 4)) - (Number(asOf.slice(5, 7)) >= AUTUMN_FROM ? 0 : 1);
	return sampled >= `${year}-0${AUTUMN_FROM}-01`;
}

/** Nitrate moves within weeks; a test older than that may be read, but not trusted. */
export const oldNitrate: ReportCheck = ({ site: { soil, sampleDate, asOf } }) => {
	const hasNitrate = soil.layers.some(({ results }) => results.some(({ analyte }) => analyte === 'NO3-N'));
	if (!hasNitrate || sampleDate === undefined) return [];
	const days = differenceInCalendarDays(parseISO(asOf), parseISO(sampleDate));
	if (days <= DAYS || (isDormant(asOf) && isSameWinter(sampleDate, asOf))) return [];
	// A test of the dormant season that is read in the growing one.
	const winter = isDormant(sampleDate) && !isDormant(asOf);
	return [
		{
			code: 'old-nitrate',
			severity: winter ? 'mind' : 'note',
			text: winter
				? `The nitrate was sampled on ${longDate(sampleDate)}. A wet winter and spring move it below the roots.`
				: `The nitrate was sampled ${days} days ago; it may have moved since.`,
			remedy: 'Before relying on it in season, take nitrate again.'
		}
	];
};
