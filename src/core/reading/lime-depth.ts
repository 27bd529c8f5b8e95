import type { Site } from './site';

/** What tillage mixes where neither the adviser nor the guide says, in: a plow or a deep chisel; common practice. */
const USUAL_WORKED_IN = 8;
/** Lime on the surface acts on the top 2 to 4 in alone; common practice. */
const SURFACE_IN = { least: 2, most: 4 } as const;

/**
 * Inches of soil that a lime rate is for: what the tillage mixes, or on the surface the top 2 to 4 in. A deep sample does not make
 * the rate larger.
 * @param guideIn the depth that the guide's own rates are for
 */
export function limeDepth(
	{ limeDepthIn, limePlacement }: Pick<Site, 'limeDepthIn' | 'limePlacement'>,
	guideIn = USUAL_WORKED_IN
): { depthIn: number; from: 'adviser' | 'surface' | 'guide' } {
	if (limePlacement === 'surface') {
		const typed = limeDepthIn ?? SURFACE_IN.most;
		return { depthIn: Math.min(SURFACE_IN.most, Math.max(SURFACE_IN.least, typed)), from: 'surface' };
	}
	return limeDepthIn === undefined ? { depthIn: guideIn, from: 'guide' } : { depthIn: limeDepthIn, from: 'adviser' };
}
