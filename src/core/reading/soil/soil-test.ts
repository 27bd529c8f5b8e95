import { figure, notApplicable, type Answer } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import type { Analyte, LabMethod, Rule } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { analyteName } from '../../ground/analyte-names';
import { methodName } from '../../ground/lab-file/lab-methods';
import { FREE_LIME_PH } from './free-lime';
import { readResult } from './read-result';
import type { Site } from '../site';
import type { SampledSoil } from './sampled-soil';

/**
 * The soil test that a rule is calibrated on, ppm; or, where the pack names a published bridge from the method the
 * lab used, an approximation of it, marked as such.
 * @returns does not apply by another method, and for Bray P1 on calcareous soil
 */
export function readSoilTest({ soil }: Site, { rule, pack }: CompiledRule): Answer {
	if (!rule.soilTest) return notApplicable('soil test', 'the guide names no soil test', 'Correct the pack.');
	const { analyte, methods } = rule.soilTest;
	const test = readResult(soil, analyte, methods);
	const answer = test.applies ? test : (bridged(soil, analyte, methods, pack.bridges ?? []) ?? test);
	return answer.applies && readsBray(rule) ? unlessCalcareous(soil, answer) : answer;
}

/** Whether a rule goes by Bray P1 alone, which says nothing on calcareous soil. */
export function readsBray({ soilTest }: Rule): boolean {
	return soilTest?.analyte === 'P' && soilTest.methods.every((method) => method === 'bray-p1');
}

/** Thickness of the layer that the rule's soil test comes from, in. */
export function sampledDepth({ soil }: Site, { rule }: CompiledRule): Answer {
	const analyte = rule.soilTest?.analyte;
	const layer =
		soil.layers.find(({ results }) => results.some((result) => result.analyte === analyte)) ?? soil.layers[0]!;
	return figure({
		label: `thickness sampled (${layer.depthText})`,
		value: layer.thicknessIn,
		unit: 'in',
		basis: 'measured'
	});
}

function unlessCalcareous(soil: SampledSoil, test: Answer): Answer {
	const soilPh = readResult(soil, 'pH', ['water']);
	const carbonate = readResult(soil, 'carbonate');
	const remedy = 'Ask the lab for phosphorus by Olsen.';
	if (soilPh.applies && soilPh.value > FREE_LIME_PH) {
		const reason = `Bray P1 reads wrong on calcareous soil, and pH here is ${formatNumber(soilPh.value, 'pH')} (above ${FREE_LIME_PH})`;
		return notApplicable(test.label, reason, remedy);
	}
	if (carbonate.applies && carbonate.value > 0) {
		const reason = `Bray P1 reads wrong on calcareous soil, and the report gives ${formatNumber(carbonate.value, '%')} % of carbonate`;
		return notApplicable(test.label, reason, remedy);
	}
	return test;
}

function bridged(
	soil: SampledSoil,
	analyte: Analyte,
	methods: readonly LabMethod[],
	bridges: NonNullable<CompiledRule['pack']['bridges']>
): Answer | undefined {
	for (const bridge of bridges) {
		if (bridge.analyte !== analyte || !methods.includes(bridge.to)) continue;
		const other = readResult(soil, analyte, [bridge.from]);
		if (!other.applies) continue;
		const words = `${methodName(bridge.to)} taken as ${methodName(bridge.from)} / ${bridge.divideBy}`;
		return figure({
			label: `${analyteName(analyte)}, ${methodName(bridge.to)}, approximated`,
			value: other.value / bridge.divideBy,
			unit: other.unit,
			formula: `${methodName(bridge.from)} / ${bridge.divideBy}`,
			inputs: [other],
			basis: bridge.basis,
			citation: bridge.citation,
			approximation: words,
			cautions: [`An approximation: ${words}. The guide was not calibrated on ${methodName(bridge.from)}.`]
		});
	}
	return undefined;
}
