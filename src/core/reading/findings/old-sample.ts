import type { ReportCheck } from './finding';
import { longDate } from '../../units/day-text';

/** Years after which a report is old: common practice. Sand changes fast, orchards are sampled yearly. */
const YEARS = { usual: 3, sand: 2, orchard: 1 };
const SANDY = new Set(['sand', 'loamy sand']);

export const oldSample: ReportCheck = ({ site: { sampleDate, asOf, field, crop } }) => {
	if (sampleDate === undefined) {
		return [
			{
				code: 'no-sample-date',
				severity: 'note',
				text: 'The sample has no date, so its age is not known.',
				remedy: 'Write the sampling date on the sample.'
			}
		];
	}
	const sandy = field.textureClass !== undefined && SANDY.has(field.textureClass);
	const years = crop.perennial ? YEARS.orchard : sandy ? YEARS.sand : YEARS.usual;
	const months = monthOf(asOf) - monthOf(sampleDate);
	if (months <= years * 12) return [];
	const why = crop.perennial ? ' in an orchard' : sandy ? ' on sand' : '';
	return [
		{
			code: 'old-sample',
			severity: 'mind',
			text: `The sample of ${longDate(sampleDate)} is over ${years} ${years === 1 ? 'year' : 'years'} old${why}.`,
			remedy: 'Sample again, to the same depth.'
		}
	];
};

/** Months since the year 0, from YYYY-MM-DD. */
function monthOf(date: string): number {
	return Number(date.slice(0, 4)) * 12 + Number(date.slice(5, 7));
}
