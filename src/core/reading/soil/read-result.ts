import { figure, notApplicable, withCaution, type Answer, type Figure } from '../../figure/figure';
import type { Analyte, LabMethod, Result } from '../../schema-types';
import { canonicalUnit, conversionOf } from '../../units/result-units';
import { analyteName, shortAnalyteName } from '../../ground/analyte-names';
import { methodName, usualMethod } from '../../ground/lab-file/lab-methods';
import { possibleRange } from '../../ground/possible-range';
import type { Reported, SampledSoil } from './sampled-soil';
import type { SoilLayer } from './soil-layers';

/** Share of the limit that stands in for "less than the limit": common practice. */
const SHARE_OF_DETECTION_LIMIT = 0.5;
const HALF_LIMIT = 'half the detection limit';

/**
 * The lab's limit where a result was reported only as below it, in the unit of the answer: the true value lies anywhere from 0 to it.
 * @returns undefined for a measured value
 */
export function reportingLimit(answer: Answer): number | undefined {
	if (!answer.applies) return undefined;
	const { formula, inputs } = answer;
	const halved = formula === HALF_LIMIT || inputs.some((input) => reportingLimit(input) !== undefined);
	return halved ? answer.value / SHARE_OF_DETECTION_LIMIT : undefined;
}

/**
 * One analyte from the uppermost layer that reports it, in the canonical unit (ppm, meq/100 g, %, pH).
 * @param methods the methods that will do; any where left out
 * @returns does not apply where it was not reported, was measured by another method, or cannot be true
 */
export function readResult(soil: SampledSoil, analyte: Analyte, methods?: readonly LabMethod[]): Answer {
	const given = soil.reported(analyte);
	const key = methods ? (methods.length === 1 ? methods[0]! : methods.join(' ')) : '';
	let answer = given.answers.get(key);
	if (!answer) {
		const spent = soil.spent.get(analyte);
		answer = spent === undefined ? readAnew(given.results, analyte, methods) : spentAnswer(analyte, spent);
		given.answers.set(key, answer);
	}
	return answer;
}

/** What is said of a test that served an earlier crop. */
export function spentAnswer(analyte: Analyte, why: string): Answer & { applies: false } {
	const name = analyteName(analyte);
	return notApplicable(name, why, 'Take a new test.', `a new ${name} test`);
}

function notReported(analyte: Analyte, methods: readonly LabMethod[] | undefined): Answer {
	const name = analyteName(analyte);
	const by = wantedText(methods);
	const lacks = `${shortAnalyteName(analyte)}${by}`;
	return notApplicable(name, `the report gives no ${name}`, `Ask the lab for ${name}${by}.`, lacks);
}

function readAnew(given: Reported['results'], analyte: Analyte, methods: readonly LabMethod[] | undefined): Answer {
	if (given.length === 0) return notReported(analyte, methods);
	const fitting = given.find(({ result }) => fits(result, methods));
	if (fitting) return readFrom(fitting.layer, fitting.result);
	const label = analyteName(analyte);
	const { result } = given[0]!;
	const was = result.method ? methodName(result.method) : 'a method the report does not name';
	return notApplicable(
		label,
		`the report gives ${label} by ${was}, and this is calibrated on ${(methods ?? []).map(methodName).join(' or ')}`,
		result.method
			? `Ask the lab for ${label}${wantedText(methods)}.`
			: `Ask the lab which method it used for ${label}.`,
		result.method ? `${shortAnalyteName(analyte)}${wantedText(methods)}` : `the lab’s method for ${label}`
	);
}

function fits(result: Result, methods: readonly LabMethod[] | undefined): boolean {
	const method = result.method ?? usualMethod(result.analyte);
	return methods === undefined || methods.length === 0 || (method !== undefined && methods.includes(method));
}

function wantedText(methods: readonly LabMethod[] | undefined): string {
	return methods && methods.length > 0 ? ` by ${methods.map(methodName).join(' or ')}` : '';
}

/** The layer's own bulk density, g/cm3; undefined where it was not measured, or cannot be true. */
export function measuredDensity({ results }: SoilLayer): number | undefined {
	const given = results.find(({ analyte }) => analyte === 'bulkDensity')?.value;
	const [least, most] = possibleRange('bulkDensity') ?? [0, Infinity];
	return given !== undefined && given >= least && given <= most ? given : undefined;
}

function readFrom(layer: SoilLayer, result: Result): Answer {
	const { analyte, method, value, unit, qualifier } = result;
	const name = analyteName(analyte);
	const assumed = method ?? usualMethod(analyte);
	const label = [name, assumed && methodName(assumed), layer.depthText].filter(Boolean).join(', ');
	const conversion = conversionOf(analyte, unit, layer.thicknessIn, measuredDensity(layer))!;
	const reported = conversion.formula === '' ? canonicalUnit(analyte) : unit;
	let read: Figure = figure({ label, value, unit: reported, basis: 'measured' });
	if (qualifier === '<') {
		const caution = `The lab reports ${name} only as below ${value} ${unit}; half of that is used.`;
		read = figure({
			label,
			value: value * SHARE_OF_DETECTION_LIMIT,
			unit: reported,
			formula: HALF_LIMIT,
			inputs: [read],
			basis: 'practice',
			cautions: [caution]
		});
	}
	if (qualifier === '>') read = withCaution(read, `The lab reports ${name} only as above ${value} ${unit}.`);
	if (conversion.formula !== '') {
		read = figure({
			label,
			value: read.value * conversion.factor,
			unit: canonicalUnit(analyte),
			formula: conversion.formula,
			inputs: [read],
			basis: 'measured',
			cautions: read.cautions
		});
	}
	const range = possibleRange(analyte);
	if (range && (read.value < range[0] || read.value > range[1])) {
		return notApplicable(
			label,
			`${name} ${read.value} cannot be true: soil lies between ${range[0]} and ${range[1]}`,
			`Check ${name} against the lab's paper.`
		);
	}
	return method === undefined && assumed
		? withCaution(read, `The report does not name the method for ${name}; read as ${methodName(assumed)}.`)
		: read;
}
