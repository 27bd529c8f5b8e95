import type { BookDocument } from '../../core/schema-types';

/** The growers of arable ground as a book of an older layout can hold them: no blocks, no leaf tests, no water, no trials, no house programmes. */
export function oldBook(document: BookDocument): BookDocument {
	const growers = document.growers.slice(0, 3).map((grower) => ({
		...grower,
		fields: grower.fields.map(({ leafTests: _, trials: __, ...field }) => field)
	}));
	return { ...document, growers, waterSources: [], houseProgrammes: [] };
}
