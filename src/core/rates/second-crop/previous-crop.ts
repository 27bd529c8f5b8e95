import crops from '../../../../schemas/crops.schema.json';
import type { PreviousCropId } from '../../schema-types';

const KNOWN = crops.definitions.PreviousCropId.enum as PreviousCropId[];

/** A crop as the guides name it where another follows it; "other" where they have no word for it. */
export function previousCropOf(crop: string): PreviousCropId {
	return KNOWN.find((id) => id === crop) ?? 'other';
}
