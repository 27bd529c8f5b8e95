import { keysOf } from '../core/check/typed-object';
import type { School } from '$core/schema-types';

const NAMES: Record<School, string> = {
	'feed-the-crop': 'Sufficiency',
	'build-and-maintain': 'Build-up and maintenance',
	'build-to-range': 'Target range',
	'class-table': 'By class of the test',
	'crop-load': 'Demand by crop load',
	'leaf-guided': 'By the leaf test',
	'by-age': 'Programme by age',
	'replace-removal': 'Replace removal',
	'balance-cations': 'Base saturation',
	'mass-balance': 'Mass balance',
	'economic-optimum': 'Economic optimum',
	'placed-and-timed': 'Banded split programme',
	'in-season-nitrate': 'Pre-sidedress nitrate test',
	'reference-strip': 'N-rich and zero-N strips',
	'stand-count': 'Tiller count',
	'sulfur-by-yield': 'By yield',
	'sulfur-with-nitrogen': 'N to S ratio',
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
