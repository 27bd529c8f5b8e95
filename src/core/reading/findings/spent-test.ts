import type { ReportCheck } from './finding';

/** A result that was left out, because it served an earlier crop. */
export const spentTest: ReportCheck = ({ site: { soil, crop } }) =>
	[...soil.spent].map(([analyte, why]) => ({
		code: `spent-${analyte}`,
		severity: 'mind',
		text: `${why[0]!.toUpperCase()}${why.slice(1)}. It is not used for this ${crop.name.toLowerCase()}.`,
		remedy: 'Take a new test.'
	}));
