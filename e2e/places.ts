/** The words of a field, which are its pages. */
export const WORDS = ['ground', 'zones', 'reading', 'rates', 'season', 'supply', 'sheet', 'walk', 'book'];
/** Pages of the office. */
export const PAGES = [
	'/',
	'/orders',
	'/products',
	'/weather',
	'/house-rules',
	'/calibration',
	'/palm-nursery',
	'/map',
	'/guides',
	'/curves',
	'/trials',
	'/work',
	'/sampling',
	'/programmes',
	'/copies',
	'/years',
	'/trials/new',
	'/trials/calibrate'
];
