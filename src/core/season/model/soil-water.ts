import type { HeldWater } from '../../schema-types';

/** Layers of the model, cm thick each: 0-30, 30-60, 60-90. */
export const LAYERS = 3;
export const LAYER_CM = 30;
const MM_PER_PERCENT = (LAYER_CM * 10) / 100;

/** Water in the three layers, mm, and what a layer holds at each state. */
export interface SoilWater {
	mm: Float64Array;
	wilting: number;
	capacity: number;
	saturation: number;
	/** Most that drains out of a layer in a day, mm. */
	drainsPerDay: number;
	/** From this much water a layer counts as saturated, mm. */
	saturatedFrom: number;
	/** Water that left each layer downward today, mm. */
	drained: Float64Array;
}

/** A profile at field capacity. */
export function soilWaterAtCapacity(held: HeldWater, drainsPerDay: number, saturatedShare: number): SoilWater {
	const capacity = held.capacity * MM_PER_PERCENT;
	const saturation = held.saturation * MM_PER_PERCENT;
	return {
		mm: new Float64Array(LAYERS).fill(capacity),
		wilting: held.wilting * MM_PER_PERCENT,
		capacity,
		saturation,
		drainsPerDay,
		saturatedFrom: capacity + saturatedShare * (saturation - capacity),
		drained: new Float64Array(LAYERS)
	};
}

/**
 * A day's water: rain fills the top layer, what stands above field capacity drains at the soil's own pace, what does not
 * fit runs off; evaporation and transpiration come from above first.
 * @param rain mm
 * @param demand mm of evaporation and transpiration asked for
 * @param rooted layers that roots reach, at least 1
 * @returns mm that ran off
 */
export function waterDay(water: SoilWater, rain: number, demand: number, rooted: number): number {
	const { mm, wilting, capacity, saturation, drainsPerDay, drained } = water;
	mm[0]! += rain;
	for (let layer = 0; layer < LAYERS; layer++) {
		const above = Math.max(0, mm[layer]! - capacity);
		const fits = layer + 1 < LAYERS ? Math.max(0, saturation - mm[layer + 1]!) : Infinity;
		drained[layer] = Math.min(above, drainsPerDay, fits);
		mm[layer]! -= drained[layer]!;
		if (layer + 1 < LAYERS) mm[layer + 1]! += drained[layer]!;
	}
	const ranOff = Math.max(0, mm[0]! - saturation);
	mm[0]! -= ranOff;
	let asked = demand;
	for (let layer = 0; layer < rooted; layer++) {
		// Drier soil gives less: in proportion to what is left above wilting in the lower half of what it holds.
		const left = Math.max(0, mm[layer]! - wilting);
		const ease = Math.min(1, left / (0.5 * (capacity - wilting)));
		const taken = Math.min(left, asked * ease);
		mm[layer]! -= taken;
		asked -= taken;
	}
	return ranOff;
}

/** The share of a full rate that dry or drowned soil allows: 0 at wilting, 1 from half of what it holds to capacity. */
export function moistureShare({ mm, wilting, capacity, saturatedFrom }: SoilWater, layer: number): number {
	const water = mm[layer]!;
	if (water >= saturatedFrom) return 0.4;
	return Math.min(1, Math.max(0, (water - wilting) / (0.5 * (capacity - wilting))));
}

/** Whether so much of a layer's pores is full of water that its nitrate is lost to the air. */
export function isSaturated({ mm, saturatedFrom }: SoilWater, layer: number): boolean {
	return mm[layer]! >= saturatedFrom;
}
