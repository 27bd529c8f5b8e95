import { figure, notApplicable, type Answer } from '../../figure/figure';
import type { Block } from '../../schema-types';

/**
 * The year of a planting's life in the year of a crop, 1 in the year it was planted.
 * @returns years; does not apply before it was planted
 */
export function plantAge({ plantedYear }: Pick<Block, 'plantedYear'>, cropYear: number): Answer {
	if (cropYear < plantedYear) {
		return notApplicable(
			'year of its life',
			`the block is planted in ${plantedYear}, after the crop of ${cropYear}`,
			'Plan a later year, or correct the year it was planted.'
		);
	}
	return figure({
		label: 'year of its life',
		value: cropYear - plantedYear + 1,
		unit: '',
		formula: 'year - year planted + 1',
		inputs: [
			figure({ label: 'year', value: cropYear, unit: '', basis: 'adviser' }),
			figure({ label: 'year planted', value: plantedYear, unit: '', basis: 'adviser' })
		],
		basis: 'practice'
	});
}
