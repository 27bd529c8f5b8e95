import type { ReadingTerms } from '../../../../core/trials/reading/read-trial';
import type { Desk } from '../../desk';
import { findFieldYear } from '../../stores/field-years';
import type { BookTrial } from '../../stores/trials';

/** What a trial's yields are told in, by the crop of its year. */
export function termsOfTrial({ book, library }: Desk, { fieldId, year }: BookTrial): ReadingTerms & { crop: string } {
	const goal = findFieldYear(book, fieldId, year);
	const crop = library.crops.find(({ id }) => id === goal?.crop);
	return {
		crop: crop?.name ?? '',
		yieldUnit: crop?.yieldUnit ?? 'bu/ac',
		standardMoisturePercent: crop?.marketMoisture?.percent
	};
}
