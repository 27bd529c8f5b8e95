import { analyteName } from '$core/ground/analyte-names';
import type { Analyte, LabMethod, Layer, Result, ResultUnit, Sample, SampleAction } from '$core/schema-types';
import { unitsOf } from '$core/units/result-units';
import { numberOrUndefined } from '../forms/numbers';

/** What most reports give, in the order in which they give it. */
const USUAL: Analyte[] = ['pH', 'bufferPh', 'P', 'K', 'Ca', 'Mg', 'CEC', 'OM', 'NO3-N', 'SO4-S', 'Zn', 'B'];
const METHODS: Partial<Record<Analyte, LabMethod>> = {
	pH: 'water',
	bufferPh: 'smp',
	K: 'ammonium-acetate',
	Ca: 'ammonium-acetate',
	Mg: 'ammonium-acetate'
};

/** A line of the form: an analyte as it is typed. */
export interface TypedLine {
	analyte: Analyte;
	/** "<0.5" is kept as such. */
	value: string;
	/** Empty where the report names none. */
	method: string;
	unit: string;
}

/** A layer of the form. */
export interface TypedLayer {
	top: string;
	bottom: string;
	depthUnit: 'in' | 'cm';
	lines: TypedLine[];
}

/** The head of the form. */
export interface TypedHead {
	date: string;
	lab: string;
	labNumber: string;
	spot: 'whole' | 'good' | 'bad';
}

/** An empty line for an analyte. */
export function emptyLine(analyte: Analyte): TypedLine {
	return { analyte, value: '', method: METHODS[analyte] ?? '', unit: unitsOf(analyte)[0]! };
}

/** A layer with the analytes that most reports give. */
export function emptyLayer(top = '0', bottom = '8', depthUnit: TypedLayer['depthUnit'] = 'in'): TypedLayer {
	return { top, bottom, depthUnit, lines: USUAL.map(emptyLine) };
}

/** A sample as it was typed or read, with an empty line for each usual analyte that it lacks. */
export function typedLayers({ layers }: Sample): TypedLayer[] {
	return layers.map(({ top, bottom, depthUnit, results }) => ({
		top: String(top),
		bottom: String(bottom),
		depthUnit,
		lines: [
			...results.map(({ analyte, value, method, unit, qualifier }) => ({
				analyte,
				value: `${qualifier ?? ''}${value}`,
				method: method ?? '',
				unit
			})),
			...USUAL.filter((analyte) => !results.some((result) => result.analyte === analyte)).map(emptyLine)
		]
	}));
}

/**
 * The sample of a form.
 * @param before the sample that is put right: what the form does not show stays
 * @returns without layers that hold no value; a sentence where something is no number, or nothing is there
 */
export function sampleOf(
	{ date, lab, labNumber, spot }: TypedHead,
	layers: readonly TypedLayer[],
	before?: Sample
): SampleAction | string {
	if (!/^\d{4}-\d\d-\d\d$/.test(date)) return `The date “${date}” must be written as 2026-10-12.`;
	const read: Layer[] = [];
	for (const [at, layer] of layers.entries()) {
		const [top, bottom] = [numberOrUndefined(layer.top), numberOrUndefined(layer.bottom)];
		if (top === undefined || bottom === undefined || bottom <= top) {
			return `The depth ${layer.top} to ${layer.bottom} must run downwards, such as 0 to 8.`;
		}
		const results = resultsOf(layer.lines);
		if (typeof results === 'string') return results;
		if (results.length === 0) continue;
		// What the form does not show, such as the bulk density of the layer, stays.
		read.push({ ...before?.layers[at], top, bottom, depthUnit: layer.depthUnit, results });
	}
	if (read.length === 0) return 'Type at least one value from the report.';
	const kept = { ...before };
	delete kept.spot;
	return {
		lab: lab.trim(),
		labNumber: labNumber.trim(),
		report: { ...kept, date, ...(spot === 'whole' ? {} : { spot }), layers: read }
	};
}

function resultsOf(lines: readonly TypedLine[]): Result[] | string {
	const results: Result[] = [];
	for (const { analyte, value, method, unit } of lines) {
		const text = value.trim();
		if (text === '') continue;
		const qualifier = text.startsWith('<') ? '<' : text.startsWith('>') ? '>' : undefined;
		const number = numberOrUndefined(qualifier ? text.slice(1) : text);
		if (number === undefined || number < 0) return `${analyteName(analyte)}: “${text}” is no number, 0 or more.`;
		results.push({
			analyte,
			value: number,
			unit: unit as ResultUnit,
			...(method ? { method: method as LabMethod } : {}),
			...(qualifier ? { qualifier } : {})
		});
	}
	return results;
}
