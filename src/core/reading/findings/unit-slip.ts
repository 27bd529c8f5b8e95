import type { Analyte } from '../../schema-types';
import { analyteName } from '../../ground/analyte-names';
import { formatNumber } from '../../units/display';
import { readResult } from '../soil/read-result';
import type { SampledSoil } from '../soil/sampled-soil';
import type { Finding, ReportCheck } from './finding';
import { longDate } from '../../units/day-text';

/** ppm above which a value was more likely in other units: common practice. */
const LIKELY_MOST_PPM = { P: 300, K: 2000 } as const;
/** Pounds in the furrow slice are twice the ppm; a value this near to twice the last one was perhaps in pounds. */
const NEAR_TWICE = [1.8, 2.2] as const;
const COMPARED: readonly Analyte[] = ['P', 'K', 'Ca', 'Mg'];

/** A soil test that was probably written in other units: too high to be true, or about twice the last one. */
export const unitSlip: ReportCheck = (context) => [...tooHigh(context), ...twiceTheLast(context)];

const tooHigh: ReportCheck = ({ site: { soil } }) =>
	soil.layers.flatMap((layer) =>
		(['P', 'K'] as const).flatMap((analyte) => {
			const ppm = readResult(soil.only(layer), analyte);
			if (!ppm.applies || ppm.value <= LIKELY_MOST_PPM[analyte]) return [];
			return [
				slip(
					`${analyte} of ${Math.round(ppm.value)} ppm in ${layer.depthText} is above ${LIKELY_MOST_PPM[analyte]}; was it in lb/ac?`
				)
			];
		})
	);

const twiceTheLast: ReportCheck = ({ site: { soil, earlier } }) =>
	(earlier.length === 0 ? [] : COMPARED).flatMap((analyte) => {
		const now = readResult(soil, analyte);
		const method = now.applies && methodOf(soil, analyte);
		if (!now.applies || !method) return [];
		const last = earlier.find((sample) => readResult(sample.soil, analyte, [method]).applies);
		const before = last && readResult(last.soil, analyte, [method]);
		if (!before?.applies || before.value === 0) return [];
		const ratio = now.value / before.value;
		if (ratio < NEAR_TWICE[0] || ratio > NEAR_TWICE[1]) return [];
		const name = analyteName(analyte);
		return [
			slip(
				`${name.charAt(0).toUpperCase()}${name.slice(1)} of ${formatNumber(now.value, 'ppm')} ppm is about twice the ${formatNumber(before.value, 'ppm')} of ${last?.date ? longDate(last.date) : 'the last sample'}; was it in lb/ac?`
			)
		];
	});

function slip(text: string): Finding {
	return { code: 'unit-slip', severity: 'mind', text, remedy: 'Check the unit on the report and correct the sample.' };
}

function methodOf(soil: SampledSoil, analyte: Analyte) {
	return soil.layers.flatMap(({ results }) => results).find((result) => result.analyte === analyte)?.method;
}
