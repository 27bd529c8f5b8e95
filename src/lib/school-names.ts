import type { School } from '$core/schema-types';

const NAMES: Record<School, string> = {
	'feed-the-crop': 'Feed the crop',
	'build-and-maintain': 'Build and maintain',
	'replace-removal': 'Replace removal',
	'mass-balance': 'Mass balance',
	'sulfur-by-yield': 'By yield',
	'buffer-line': 'Buffer line'
};

/** Schools in the order in which they stand side by side. */
export const SCHOOL_ORDER = Object.keys(NAMES) as readonly School[];

/** What advisers call a school. */
export function schoolName(school: School): string {
	return NAMES[school];
}
