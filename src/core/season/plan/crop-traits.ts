import type { Crop, CropTrait } from '../../schema-types';

/** Whether a crop has a trait by which rules and sources go, instead of by its name. */
export function hasTrait({ traits = [] }: Pick<Crop, 'traits'>, trait: CropTrait): boolean {
	return traits.includes(trait);
}
