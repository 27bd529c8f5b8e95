import { figure, type Answer } from '../../figure/figure';
import { OM_PER_OC } from '../../units/factors';
import { readResult } from './read-result';
import type { SoilLayer } from './soil-layers';

/** Organic matter above which a soil is organic, %: common practice. */
export const ORGANIC_PERCENT = 20;

/** Organic matter, %: measured, or organic carbon x 1.72 (common practice). */
export function readOrganicMatter(layers: readonly SoilLayer[]): Answer {
	const measured = readResult(layers, 'OM');
	const carbon = readResult(layers, 'OC');
	if (measured.applies || !carbon.applies) return measured;
	return figure({
		label: 'organic matter',
		value: carbon.value * OM_PER_OC,
		unit: '%',
		formula: `organic carbon x ${OM_PER_OC}`,
		inputs: [carbon],
		basis: 'practice'
	});
}

/** Organic carbon, %: measured, or organic matter / 1.72 (common practice). */
export function readOrganicCarbon(layers: readonly SoilLayer[]): Answer {
	const measured = readResult(layers, 'OC');
	const matter = readResult(layers, 'OM');
	if (measured.applies || !matter.applies) return measured;
	return figure({
		label: 'organic carbon',
		value: matter.value / OM_PER_OC,
		unit: '%',
		formula: `organic matter / ${OM_PER_OC}`,
		inputs: [matter],
		basis: 'practice'
	});
}
