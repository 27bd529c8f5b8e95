import type { PreviousCropId, TextureClass } from '$core/schema-types';

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

/** Textures from light to heavy. */
export const TEXTURE_CLASSES: readonly TextureClass[] = [
	'sand',
	'loamy sand',
	'sandy loam',
	'loam',
	'silt loam',
	'silt',
	'sandy clay loam',
	'clay loam',
	'silty clay loam',
	'sandy clay',
	'silty clay',
	'clay'
];
