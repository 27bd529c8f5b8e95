import { figure, notApplicable, type Answer } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import type { InputName } from '../packs/rule-kind';
import { formatNumber } from '../units/display';
import { OM_PER_OC } from '../units/factors';
import { cationExchangeCapacity } from './cec';
import { readResult } from './read-result';
import type { Site } from './site';
import { siteTargetPh } from './target-ph';

/** How each input that a rule may ask for is found on a site. */
export type InputReaders = Record<InputName, (site: Site, compiled: CompiledRule) => Answer>;

/** Above this pH (water) the Bray extractant is spent on free lime: common practice. */
const BRAY_FAILS_ABOVE_PH = 7.3;

/** The inputs that come from the report and the goal alone. */
export const siteInputs: Omit<InputReaders, 'credits' | 'effectiveFraction' | 'limeDepthIn'> = {
	soilTest: readSoilTest,
	cec: ({ layers }) => cationExchangeCapacity(layers),
	organicMatter: readOrganicMatter,
	yieldGoal: ({ yieldGoal, crop }) =>
		figure({ label: 'yield goal', value: yieldGoal, unit: crop.yieldUnit, basis: 'adviser' }),
	soilPh: ({ layers }) => readResult(layers, 'pH', ['water']),
	bufferPh: ({ layers }, { rule }) => readResult(layers, 'bufferPh', rule.soilTest?.methods),
	targetPh: siteTargetPh
};

/** Organic matter, %: measured, or organic carbon x 1.72 (common practice). */
function readOrganicMatter({ layers }: Site): Answer {
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

function readSoilTest({ layers }: Site, { rule }: CompiledRule): Answer {
	if (!rule.soilTest) return notApplicable('soil test', 'the guide names no soil test', 'Correct the pack.');
	const { analyte, methods } = rule.soilTest;
	const test = readResult(layers, analyte, methods);
	const soilPh = readResult(layers, 'pH', ['water']);
	const brayOnly = methods.every((method) => method === 'bray-p1');
	if (test.applies && analyte === 'P' && brayOnly && soilPh.applies && soilPh.value > BRAY_FAILS_ABOVE_PH) {
		return notApplicable(
			test.label,
			`Bray P1 reads wrong on calcareous soil, and pH here is ${formatNumber(soilPh.value, 'pH')} (above ${BRAY_FAILS_ABOVE_PH})`,
			'Ask the lab for phosphorus by Olsen.'
		);
	}
	return test;
}

/** The value of a figure, or NaN for a reason why there is none: how `compute` sees an input. */
export function numberOf(answer: Answer): number {
	return answer.applies ? answer.value : NaN;
}
