import type { TextureClass } from '../schema-types';

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
