import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { ReportCheck } from './finding';

/** Days for which a nitrate test describes the soil in season: common practice. */
const DAYS = 30;

/** Nitrate moves within weeks; a test older than that may be read, but not trusted. */
export const oldNitrate: ReportCheck = ({ site: { layers, sampleDate, asOf } }) => {
	const hasNitrate = layers.some(({ results }) => results.some(({ analyte }) => analyte === 'NO3-N'));
	if (!hasNitrate || sampleDate === undefined) return [];
	const days = differenceInCalendarDays(parseISO(asOf), parseISO(sampleDate));
	if (days <= DAYS) return [];
	return [
		{
			code: 'old-nitrate',
			severity: 'note',
			text: `The nitrate was sampled ${days} days ago; it may have moved since.`,
			remedy: 'Before relying on it in season, take nitrate again.'
		}
	];
};
