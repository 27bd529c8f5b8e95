import { depthText } from '../../units/length-text';
import type { ReportCheck } from './finding';

/** How far a sample may stop short of, or run past, a guide's depth: within this no guide's rate changes much. */
const SLACK_IN = 1;

/** A guide's soil test levels hold for the depth it was calibrated on. */
export const otherDepth: ReportCheck = ({ site: { soil, crop }, packs }) => {
	const top = soil.layers.find(({ results }) => results.some(({ analyte }) => analyte === 'P' || analyte === 'K'));
	if (!top || crop.perennial) return [];
	const others = packs.packs.filter(
		({ samplingDepthIn }) => samplingDepthIn !== undefined && Math.abs(samplingDepthIn - top.bottomIn) > SLACK_IN
	);
	if (others.length === 0) return [];
	const guides = others
		.map(({ title, samplingDepthIn }) => `${title} (${depthText(0, samplingDepthIn!, soil.units)})`)
		.join(', ');
	return [
		{
			code: 'other-depth',
			severity: 'note',
			text: `The sample was taken ${top.depthText}; calibrated on another depth: ${guides}.`,
			remedy: 'Read those guides with care, or sample to their depth next time.'
		}
	];
};
