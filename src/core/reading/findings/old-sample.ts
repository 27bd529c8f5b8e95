import { isOldSample, sampleLasts } from '../../ground/sampling/sample-age';
import { longDate } from '../../units/day-text';
import type { ReportCheck } from './finding';

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
	const ground = { textureClass: field.textureClass, perennial: crop.perennial };
	if (!isOldSample(sampleDate, ground, asOf)) return [];
	const { years, why } = sampleLasts(ground);
	return [
		{
			code: 'old-sample',
			severity: 'mind',
			text: `The sample of ${longDate(sampleDate)} is over ${years} ${years === 1 ? 'year' : 'years'} old${why}.`,
			remedy: 'Sample again, to the same depth.'
		}
	];
};
