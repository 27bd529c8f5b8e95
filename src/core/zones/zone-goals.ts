import type { ZoneMeans } from './zone-means';

/** Goals of zones as a yield layer shares the field's goal out. */
export interface SharedGoals {
	/** The layer that they come from. */
	layerName: string;
	/** In the unit of the field's goal, whole. */
	by: ReadonlyMap<string, number>;
}

/**
 * The field's goal shared out by a yield layer: goal x mean of the zone / mean of all ground, each zone by its acres. Common
 * practice. Undefined without a goal, without zones, or where a zone has no yield of its own.
 */
export function zoneGoals(
	fieldGoal: number | undefined,
	zones: readonly { name: string; areaAcres: number }[],
	yieldOf: (zone: string) => ZoneMeans['yield']
): SharedGoals | undefined {
	const yields = zones.map(({ name, areaAcres }) => ({ name, areaAcres, known: yieldOf(name) }));
	const layerName = yields[0]?.known?.layer;
	if (fieldGoal === undefined || layerName === undefined) return undefined;
	let acres = 0;
	let bushels = 0;
	for (const { areaAcres, known } of yields) {
		if (!known) return undefined;
		acres += areaAcres;
		bushels += areaAcres * known.mean;
	}
	const mean = bushels / acres;
	return {
		layerName,
		by: new Map(yields.map(({ name, known }) => [name, Math.round((fieldGoal * known!.mean) / mean)]))
	};
}
