import { figure, type Answer } from '../../figure/figure';
import { OM_PER_OC } from '../../units/factors';
import { readResult } from './read-result';
import type { SampledSoil } from './sampled-soil';

/** Organic matter above which a soil is organic, %: common practice. */
export const ORGANIC_PERCENT = 20;

/** Organic matter, %: measured, or organic carbon x 1.72 (common practice). */
export function readOrganicMatter(soil: SampledSoil): Answer {
	const measured = readResult(soil, 'OM');
	const carbon = readResult(soil, 'OC');
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

/** Whether a soil is peat or muck. */
export function isOrganicSoil(soil: SampledSoil): boolean {
	const matter = readOrganicMatter(soil);
	return matter.applies && matter.value > ORGANIC_PERCENT;
}

/** Organic carbon, %: measured, or organic matter / 1.72 (common practice). */
export function readOrganicCarbon(soil: SampledSoil): Answer {
	const measured = readResult(soil, 'OC');
	const matter = readResult(soil, 'OM');
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
