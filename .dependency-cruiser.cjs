// The architecture's rooms and their one-way arrows.
const ROOMS = ['ground', 'water', 'reading', 'rates', 'season', 'supply', 'zones', 'trials', 'sheet', 'book'];
/** Tests and their help may look across the rooms. */
const NOT_TESTS = '\\.test(-help)?\\.ts$';
const COMMON = ['schema-types', 'check', 'figure', 'units', 'packs'];

/** Inside core each room may use only the common ones and the rooms before it. */
const roomRules = ROOMS.map((room, index) => ({
	name: `core-${room}-uses-only-rooms-before-it`,
	severity: 'error',
	from: { path: `^src/core/${room}/`, pathNot: NOT_TESTS },
	to: { path: '^src/core/', pathNot: `^src/core/(${[...COMMON, ...ROOMS.slice(0, index + 1)].join('|')})/` }
}));

const commonRules = COMMON.map((room, index) => ({
	name: `core-${room}-uses-only-what-it-stands-on`,
	severity: 'error',
	from: { path: `^src/core/${room}/`, pathNot: NOT_TESTS },
	to: { path: '^src/core/', pathNot: `^src/core/(${COMMON.slice(0, index + 1).join('|')})/` }
}));

module.exports = {
	forbidden: [
		...roomRules,
		...commonRules,
		{
			name: 'core-stands-alone',
			severity: 'error',
			comment: 'No Svelte, Node, database or interface in the core; tests may use what they need.',
			from: { path: '^src/core/', pathNot: NOT_TESTS },
			to: {
				path: '^(src/(lib|routes|workers)/|cli/)|node_modules/(svelte|@sveltejs|better-sqlite3|carbon)',
				pathNot: '^src/core/'
			}
		},
		{
			name: 'core-uses-no-node',
			severity: 'error',
			from: { path: '^src/core/', pathNot: NOT_TESTS },
			to: { dependencyTypes: ['core'] }
		},
		{
			name: 'server-knows-no-pages',
			severity: 'error',
			from: { path: '^src/lib/server/' },
			to: { path: '^src/(routes|lib/ui)/' }
		},
		{
			name: 'interface-knows-no-routes',
			severity: 'error',
			from: { path: '^src/lib/ui/' },
			to: { path: '^src/routes/' }
		},
		{
			name: 'workers-know-no-server',
			severity: 'error',
			from: { path: '^src/workers/' },
			to: { path: '^src/(lib/server|routes)/' }
		},
		{
			name: 'interface-knows-no-database',
			severity: 'error',
			from: { path: '^src/lib/ui/' },
			to: { path: '^src/lib/server/', dependencyTypesNot: ['type-only'] }
		},
		{
			name: 'database-only-in-the-book',
			severity: 'error',
			from: { pathNot: '^src/lib/server/' },
			to: { path: 'node_modules/better-sqlite3' }
		},
		{
			name: 'command-line-has-no-database',
			severity: 'error',
			from: { path: '^cli/' },
			to: { path: '^src/', pathNot: '^src/core/|^src/lib/server/(knowledge|today)\\.ts$' }
		},
		{
			name: 'no-circles',
			severity: 'error',
			comment: 'A component that draws a tree calls itself; nothing else may come back to where it started.',
			from: { pathNot: '/WorksheetSteps\\.svelte$' },
			to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
		}
	],
	options: {
		tsPreCompilationDeps: true,
		doNotFollow: { path: 'node_modules' },
		tsConfig: { fileName: 'tsconfig.json' },
		enhancedResolveOptions: { extensions: ['.ts', '.js', '.svelte', '.json', '.d.ts'] }
	}
};
