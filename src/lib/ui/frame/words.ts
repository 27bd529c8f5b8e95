/** The seven words of the work, in order; the same in screens, core, routes and docs. */
export const WORDS = [
	{ path: 'ground', name: 'Ground' },
	{ path: 'reading', name: 'Reading' },
	{ path: 'rates', name: 'Rates' },
	{ path: 'season', name: 'Season' },
	{ path: 'supply', name: 'Supply' },
	{ path: 'sheet', name: 'Sheet' },
	{ path: 'book', name: 'Scouting and records' }
] as const;
