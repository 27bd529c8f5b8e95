import type { BookDocument } from '../../core/schema-types';

/** The growers of arable ground as a book of an older layout can hold them: no blocks, no leaf tests, no water, no trials, no house programmes, no records load by load, no catch or second crops, no bags of soil. */
export function oldBook(document: BookDocument): BookDocument {
	const growers = document.growers.slice(0, 3).map((grower) => ({
		...grower,
		fields: grower.fields.map(({ leafTests: _, trials: __, bags: _____, years, ...field }) => ({
			...field,
			years: years.map(({ passes = [], catchCrop: ____, secondCrop: ______, ...year }) => ({
				...year,
				passes: passes.map(({ applications: ___, ...pass }) => pass)
			}))
		}))
	}));
	return { ...document, growers, waterSources: [], houseProgrammes: [] };
}
