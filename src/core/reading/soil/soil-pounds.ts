import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { Analyte } from '../../schema-types';
import { quantityIn } from '../../units/amount-text';
import { depthText } from '../../units/length-text';
import type { UnitSystem } from '../../units/rate-units';
import { densityText, poundsPerPpmInch } from '../../units/result-units';
import { analyteName } from '../../ground/analyte-names';
import { measuredDensity, readResult, spentAnswer } from './read-result';
import type { SampledSoil } from './sampled-soil';

/** The root zone that a nitrate credit or the room in the ground speaks of, in. */
export const ROOT_ZONE_IN = 24;
/** Layers written in cm do not meet an inch depth exactly. */
export const DEPTH_SLACK_IN = 0.5;

/**
 * Nitrate-N in the soil from the surface down to a depth, lb/ac: 0.3 x inches x ppm, summed over the layers.
 * Source: common practice (2,000,000 lb of soil in 6 2/3 in).
 * @param depthIn inches; a layer that reaches deeper counts only down to this
 * @returns does not apply where nitrate was not measured without a gap down to the depth
 */
export function soilNitrate(soil: SampledSoil, depthIn: number): Answer {
	return soilPounds(soil, 'NO3-N', depthIn, takeNitrate(soil.units));
}

/** Sulfate-S in the soil down to a depth, lb/ac, in the same way. */
export function soilSulfate(soil: SampledSoil, depthIn: number): Answer {
	return soilPounds(
		soil,
		'SO4-S',
		depthIn,
		`Have sulfate-S measured from ${quantityIn(soil.units, [0, depthIn], 'in')}.`
	);
}

function soilPounds(soil: SampledSoil, analyte: Analyte, depthIn: number, remedy: string): Answer {
	const { parts, reachedIn } = poundsByLayer(soil, analyte, depthIn);
	const name = analyteName(analyte);
	const label = `${name}, ${depthText(0, depthIn, soil.units)}`;
	const spent = soil.spent.get(analyte);
	if (spent !== undefined) return spentAnswer(analyte, spent);
	if (parts.length === 0) return notApplicable(label, `the report gives no ${name}`, remedy);
	if (reachedIn < depthIn - DEPTH_SLACK_IN) {
		const reason = measuredOnlyTo(name, reachedIn, depthIn, soil.units);
		return notApplicable(label, reason, remedy);
	}
	return sumOfLayers(label, parts, []);
}

/** Why an analyte that was measured too shallow does not serve. */
export function measuredOnlyTo(name: string, reachedIn: number, neededIn: number, units: UnitSystem): string {
	const depth = (inches: number) => quantityIn(units, inches, 'in');
	return `${name} was measured only to ${depth(reachedIn)}, and this needs it to ${depth(neededIn)}`;
}

/** What to do where nitrate is not known as deep as is asked. */
export function takeNitrate(units: UnitSystem, depthIn = ROOT_ZONE_IN): string {
	return `Take a nitrate sample, ${quantityIn(units, [0, depthIn], 'in')}.`;
}

/** A line for each layer, summed. */
export function sumOfLayers(label: string, parts: Figure[], cautions: string[]): Figure {
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

/** Pounds of an analyte in each layer from the surface down without a gap, and how deep that reaches. */
export function poundsByLayer(soil: SampledSoil, analyte: Analyte, depthIn: number) {
	const parts: Figure[] = [];
	let reachedIn = 0;
	for (const layer of soil.layers) {
		const ppm = readResult(soil.only(layer), analyte);
		if (!ppm.applies || layer.topIn > reachedIn + DEPTH_SLACK_IN) continue;
		const thicknessIn = Math.min(layer.bottomIn, depthIn) - Math.max(layer.topIn, reachedIn);
		if (thicknessIn <= 0) continue;
		reachedIn = Math.min(layer.bottomIn, depthIn);
		const density = measuredDensity(layer);
		parts.push(
			figure({
				label: `${analyte}, ${layer.depthText}`,
				value: ppm.value * poundsPerPpmInch(density) * thicknessIn,
				unit: 'lb/ac',
				formula: `ppm x 0.3${densityText(density)} x ${+thicknessIn.toFixed(2)} in`,
				inputs: [ppm],
				basis: 'measured'
			})
		);
	}
	return { parts, reachedIn };
}
