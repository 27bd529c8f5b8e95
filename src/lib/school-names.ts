import { keysOf } from '../core/check/typed-object';
import type { School } from '$core/schema-types';

const NAMES: Record<School, string> = {
	'feed-the-crop': 'Feed the crop',
	'build-and-maintain': 'Build and maintain',
	'build-to-range': 'Keep in the range',
	'class-table': 'By class of the test',
	'replace-removal': 'Replace removal',
	'balance-cations': 'Balance the cations',
	'mass-balance': 'Mass balance',
	'economic-optimum': 'Economic optimum',
	'placed-and-timed': 'Placed and timed',
	'in-season-nitrate': 'Nitrate in the standing crop',
	'reference-strip': 'Reference strips',
	'stand-count': 'Tiller count',
	'sulfur-by-yield': 'By yield',
	'sulfur-with-nitrogen': 'Never N without S',
	'sulfur-credits': 'Soil and organic matter first',
	'buffer-line': 'Buffer line',
	'acidity-ratio': 'Acidity ratio',
	'buffer-capacity': 'Buffer capacity by layer',
	'lime-table': 'Own table'
};

/** Schools in the order in which they stand side by side. */
export const SCHOOL_ORDER = keysOf(NAMES);

/** What advisers call a school. */
export function schoolName(school: School): string {
	return NAMES[school];
}
