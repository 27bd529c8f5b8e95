import type { BookDocument } from '../../core/schema-types';

/** The growers of arable ground as a book of an older layout can hold them: no blocks, no leaf tests. */
export function oldGrowers({ growers }: BookDocument): BookDocument['growers'] {
	return growers.slice(0, 3).map((grower) => ({
		...grower,
		fields: grower.fields.map(({ leafTests: _, ...field }) => field)
	}));
}
