import { figure, notApplicable, type Answer, type Figure } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import type { InputName } from '../packs/rule-kind';
import { formatNumber } from '../units/display';
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
	organicMatter: ({ layers }) => readResult(layers, 'OM'),
	yieldGoal: ({ yieldGoal, crop }) =>
		figure({ label: 'yield goal', value: yieldGoal, unit: crop.yieldUnit, basis: 'adviser' }),
	soilPh: ({ layers }) => readResult(layers, 'pH', ['water']),
	bufferPh: ({ layers }, { rule }) => readResult(layers, 'bufferPh', rule.soilTest?.methods),
	targetPh: siteTargetPh
};

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

/** True for a figure; lets a list of answers be narrowed. */
export function isFigure(answer: Answer | undefined): answer is Figure {
	return answer?.applies === true;
}
