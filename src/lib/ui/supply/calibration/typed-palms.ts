import { PLACES, PLACE_WORDS, type Place } from '$core/supply/calibration/palm-spread';
import { numberOrUndefined } from '../../forms/numbers';

/** What was typed of palms: their kilograms at each place, parted by commas or blanks. */
export type TypedPalms = Record<Place, string>;

/** Kilograms of each palm by place, or what is wrong with what was typed. */
export function readPalms(typed: TypedPalms): Record<Place, number[]> | string {
	const weighed: Record<Place, number[]> = { road: [], middle: [], path: [] };
	for (const place of PLACES) {
		const parts = typed[place].split(/[,;\s]+/).filter(Boolean);
		if (parts.length === 0) return `Weigh some palms ${PLACE_WORDS[place]} too.`;
		for (const text of parts) {
			const kg = numberOrUndefined(text) ?? -1;
			if (kg < 0) return `“${text}” ${PLACE_WORDS[place]} must be kilograms, 0 or more.`;
			weighed[place].push(kg);
		}
	}
	return weighed;
}
