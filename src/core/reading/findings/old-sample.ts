import { monthsBetween, sampleLasts } from '../../ground/sampling/sample-age';
import { servesYears } from '../../ground/sampling/test-life';
import { shortAnalyteName } from '../../ground/analyte-names';
import { longDate } from '../../units/day-text';
import type { ReportCheck } from './finding';

export const oldSample: ReportCheck = ({ site: { sampleDate, asOf, field, crop, soil } }) => {
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
	// Sand and orchards change as a whole; elsewhere each analyte has a life of its own.
	const { years: whole, why } = sampleLasts({ textureClass: field.textureClass, perennial: crop.perennial });
	const months = monthsBetween(sampleDate, asOf);
	const analytes = [...new Set(soil.layers.flatMap(({ results }) => results.map(({ analyte }) => analyte)))];
	const lifeOf = (analyte: (typeof analytes)[number]) => (why === '' ? servesYears(analyte) : whole);
	const old = analytes.filter((analyte) => lifeOf(analyte) > 0 && months > lifeOf(analyte) * 12);
	if (old.length === 0) return [];
	const years = Math.max(...old.map(lifeOf));
	const all = old.length === analytes.length;
	const what = all ? 'The sample' : `${old.map(shortAnalyteName).join(', ')} in the sample`;
	const text = `${what} of ${longDate(sampleDate)} ${all || old.length === 1 ? 'is' : 'are'} over ${years} ${years === 1 ? 'year' : 'years'} old${why}.`;
	return [{ code: 'old-sample', severity: 'mind', text, remedy: 'Sample again, to the same depth.' }];
};
