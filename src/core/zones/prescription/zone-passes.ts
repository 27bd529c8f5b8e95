import type { Pass } from '../../schema-types';

/** The rate of what a pass follows: in the zone, and for the field. */
export interface FollowedRate {
	zone: number;
	field: number;
}

/**
 * The passes of a plan as they go on in a zone: each as much more or less as the rate it follows is there, so that a pass
 * which carries a part of a nutrient keeps its part. A pass that follows nothing goes on evenly; one that comes to
 * nothing is left out.
 */
export function passesInZone(passes: readonly Pass[], followed: (pass: Pass) => FollowedRate | undefined): Pass[] {
	return passes.flatMap((pass) => {
		const rates = followed(pass);
		if (!rates || rates.field <= 0) return [pass];
		const rate = (pass.rate * rates.zone) / rates.field;
		return rate > 0 ? [{ ...pass, rate }] : [];
	});
}
