import type { InSeason } from '$core/schema-types';

type Found = { [K in keyof InSeason]-?: { kind: K; found: NonNullable<InSeason[K]> } }[keyof InSeason];

/** What a test found, as one line. */
export function foundText(test: Found): string {
	switch (test.kind) {
		case 'nitrate':
			return `${test.found.nitratePpm} ppm nitrate-N in the ${test.found.from ?? 'soil'}, 0 to ${test.found.depthIn} in`;
		case 'tillers':
			return `${test.found.counts.join(', ')} stems in 12 in of ${test.found.rowSpacingIn} in rows`;
		case 'strips':
			return test.found.zones.length === 1 ? '1 zone' : `${test.found.zones.length} zones`;
	}
}
