import { figure, notApplicable, type Answer, type Figure } from '../figure/figure';
import type { Analyte } from '../schema-types';
import { LB_AC_PER_PPM_INCH } from '../units/factors';
import { readInLayer } from './read-result';
import type { SoilLayer } from './soil-layers';

const TAKE_NITRATE = 'Take a nitrate sample, 0 to 24 in.';
/** The root zone that a nitrate credit or the room in the ground speaks of, in. */
const ROOT_ZONE_IN = 24;
/** Layers written in cm do not meet an inch depth exactly. */
const DEPTH_SLACK_IN = 0.5;

/**
 * Nitrate-N in the soil from the surface down to a depth, lb/ac: 0.3 x inches x ppm, summed over the layers.
 * Source: common practice (2,000,000 lb of soil in 6 2/3 in).
 * @param depthIn inches; a layer that reaches deeper counts only down to this
 * @returns does not apply where nitrate was not measured without a gap down to the depth
 */
export function soilNitrate(layers: readonly SoilLayer[], depthIn: number): Answer {
	const { parts, reachedIn } = poundsByLayer(layers, 'NO3-N', depthIn);
	const label = `nitrate-N, 0-${depthIn} in`;
	if (parts.length === 0) return notApplicable(label, 'the report gives no nitrate-N', TAKE_NITRATE);
	if (reachedIn < depthIn - DEPTH_SLACK_IN) {
		const reason = `nitrate-N was measured only to ${+reachedIn.toFixed(1)} in, and this needs it to ${depthIn} in`;
		return notApplicable(label, reason, TAKE_NITRATE);
	}
	return total(label, parts, []);
}

/**
 * Nitrate-N and ammonium-N now in the root zone, lb/ac, over whatever depth down to 24 in was sampled.
 * @returns does not apply where no nitrate was measured
 */
export function mineralNitrogen(layers: readonly SoilLayer[]): Answer {
	const nitrate = poundsByLayer(layers, 'NO3-N', ROOT_ZONE_IN);
	const ammonium = poundsByLayer(layers, 'NH4-N', ROOT_ZONE_IN);
	const label = `mineral N, 0-${+nitrate.reachedIn.toFixed(1)} in`;
	if (nitrate.parts.length === 0) return notApplicable('mineral N', 'the report gives no nitrate-N', TAKE_NITRATE);
	const shallow = nitrate.reachedIn < ROOT_ZONE_IN - DEPTH_SLACK_IN;
	const caution = `Nitrate was measured only to ${+nitrate.reachedIn.toFixed(1)} in; there may be more below.`;
	return total(label, [...nitrate.parts, ...ammonium.parts], shallow ? [caution] : []);
}

function total(label: string, parts: Figure[], cautions: string[]): Figure {
	const value = parts.reduce((sum, part) => sum + part.value, 0);
	return figure({
		label,
		value,
		unit: 'lb/ac',
		formula: 'sum of the layers',
		inputs: parts,
		basis: 'measured',
		cautions
	});
}

function poundsByLayer(layers: readonly SoilLayer[], analyte: Analyte, depthIn: number) {
	const parts: Figure[] = [];
	let reachedIn = 0;
	for (const layer of layers) {
		const ppm = readInLayer(layer, analyte);
		if (!ppm.applies || layer.topIn > reachedIn + DEPTH_SLACK_IN) continue;
		const thicknessIn = Math.min(layer.bottomIn, depthIn) - Math.max(layer.topIn, reachedIn);
		if (thicknessIn <= 0) continue;
		reachedIn = Math.min(layer.bottomIn, depthIn);
		parts.push(
			figure({
				label: `${analyte}, ${layer.depthText}`,
				value: ppm.value * LB_AC_PER_PPM_INCH * thicknessIn,
				unit: 'lb/ac',
				formula: `ppm x 0.3 x ${+thicknessIn.toFixed(2)} in`,
				inputs: [ppm],
				basis: 'measured'
			})
		);
	}
	return { parts, reachedIn };
}
