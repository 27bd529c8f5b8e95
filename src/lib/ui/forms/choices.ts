import type { PreviousCropId } from '$core/schema-types';

/** What may have stood on a field the year before, in the order in which it is offered. */
export const PREVIOUS_CROPS: readonly PreviousCropId[] = [
	'corn-grain',
	'corn-silage',
	'soybean',
	'winter-wheat',
	'spring-wheat',
	'barley',
	'oats',
	'sorghum',
	'canola',
	'sunflower',
	'flax',
	'alfalfa',
	'fallow',
	'other'
];
