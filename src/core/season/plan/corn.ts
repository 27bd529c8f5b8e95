import type { Crop } from '../../schema-types';

/** Corn for grain or silage: the rules of leaves and rows hold for both. */
export function isCorn({ id }: Pick<Crop, 'id'>): boolean {
	return id === 'corn-grain' || id === 'corn-silage';
}
