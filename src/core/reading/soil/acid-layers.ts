import type { PhScale } from '../../schema-types';
import { readResult } from './read-result';
import { readSoilPh, reportedScale } from './ph-scale';
import type { SampledSoil } from './sampled-soil';

/** A sampled layer on the profile, pH on the report's scale. */
export interface ProfileLayer {
	depthText: string;
	topIn: number;
	bottomIn: number;
	ph: number;
	/** Below the line at which aluminium comes into solution and stunts roots. */
	aluminium: boolean;
	/** Below the line to which the ground is limed on this scale, and aluminium layers. */
	acid: boolean;
}

/** pH by depth, and what stands out in it. */
export interface Profile {
	scale: PhScale;
	layers: ProfileLayer[];
	/** Acid layers that lie under a better one: what a surface sample does not show. */
	hidden: ProfileLayer[];
}

/**
 * Where acid ground begins, and where aluminium is likely: pH in CaCl2 5.5 and 4.8 (common practice of the acid-soil
 * school); in water 6.0 and 5.3, judged on that scale alone and not converted from the other.
 */
export const ACID_BELOW: Record<PhScale, { acid: number; aluminium: number }> = {
	cacl2: { acid: 5.5, aluminium: 4.8 },
	water: { acid: 6.0, aluminium: 5.3 }
};

/** How much more acid than the layer above it a hidden band is; within this two layers read alike. */
const STEP = 0.3;

/** The layers with a pH from the top down, on the scale the report is on. */
export function readProfile(soil: SampledSoil): Profile {
	return (soil.read.profile ??= profileOf(soil));
}

function profileOf(soil: SampledSoil): Profile {
	const scale = reportedScale(soil);
	const lines = ACID_BELOW[scale];
	const read = soil.layers.flatMap((layer): ProfileLayer[] => {
		const soilPh = readSoilPh(soil.only(layer), scale);
		if (!soilPh.applies) return [];
		const { depthText, topIn, bottomIn } = layer;
		const ph = soilPh.value;
		return [{ depthText, topIn, bottomIn, ph, acid: ph < lines.acid, aluminium: ph < lines.aluminium }];
	});
	const surface = read[0];
	const hidden = read.slice(1).filter((layer) => layer.acid && surface !== undefined && layer.ph < surface.ph - STEP);
	return { scale, layers: read, hidden };
}

/** Exchangeable aluminium as the lab's share of CEC, where it gives one. */
export function aluminiumShare(soil: SampledSoil) {
	return readResult(soil, 'satAl');
}
