import { quantityIn } from '$core/units/amount-text';
import type { UnitSystem } from '$core/units/rate-units';
import type { InSeason } from '$core/schema-types';

type Found = { [K in keyof InSeason]-?: { kind: K; found: NonNullable<InSeason[K]> } }[keyof InSeason];

/** What a test found, as one line. */
export function foundText(test: Found, units: UnitSystem): string {
	switch (test.kind) {
		case 'nitrate':
			return `${test.found.nitratePpm} ppm nitrate-N in the ${test.found.from ?? 'soil'}, ${quantityIn(units, [0, test.found.depthIn], 'in')}`;
		case 'tillers':
			return `${test.found.counts.join(', ')} stems in ${quantityIn(units, 12, 'in')} of ${quantityIn(units, test.found.rowSpacingIn, 'in')} rows`;
		case 'strips':
			return test.found.zones.length === 1 ? '1 zone' : `${test.found.zones.length} zones`;
	}
}
