import { noNumbers, type InputName } from '../../packs/rule-kind';
import type { CompiledRule } from '../../packs/pack';
import { sitesByLayer } from '../../reading/layers-to-lime';
import { numberOf } from '../../reading/site-inputs';
import { siteOf, type Knowledge } from '../../rates/advise';
import { inputReaders } from '../../rates/input-readers';
import { ratesOfMany } from '../../rates/rates-of-many';
import type { AdviseRequest } from '../../schema-types';
import { zoneRequest } from '../zone-request';
import type { ZoneAnalyte } from '../zone-means';

/** What differs from cell to cell; NaN where it is not known. */
export type CellValues = Partial<Record<ZoneAnalyte | 'yieldGoal', Float64Array>>;

type Differs = keyof CellValues;

/** How far from the middle an input is probed to see whether it is a straight line. */
const PROBE = 0.05;
const STRAIGHT = 1e-9;

/**
 * One method's rate in every cell, lb/ac or short tons/ac; NaN where it does not apply or a value is missing. Inputs that
 * follow the cells' values in a straight line, as nearly all do, are worked out as arrays; others are read cell by cell.
 * @param request of the field
 * @returns in words why the method has no surface
 */
export function rateSurface(
	request: AdviseRequest,
	method: string,
	cells: CellValues,
	knowledge: Knowledge,
	today: string
): Float64Array | string {
	const compiled = knowledge.packs.rules.find((rule) => rule.method === method);
	if (!compiled) return `the method ${method} is not known`;
	const { kind } = compiled;
	if (kind.byZone || kind.test) return 'this method goes by strips or a test in the crop: it is rated by zone';
	const parameters = compiled.parametersFor(request.crop.id);
	if (parameters === undefined) return 'the guide is silent on this crop';
	const count = Object.values(cells)[0]?.length ?? 0;
	const names = kind.needs(parameters);
	const layers = linesOf(request, compiled, names, cells, knowledge, today);
	if (!layers) return cellByCell(request, method, cells, count, knowledge, today);
	const rates = new Float64Array(count).fill(layers.length === 0 ? NaN : 0);
	const numbers = noNumbers();
	for (const lines of layers) {
		for (let cell = 0; cell < count; cell++) {
			for (let at = 0; at < names.length; at++) {
				const { constant, slopes } = lines[at]!;
				let value = constant;
				for (const { values, slope } of slopes) value += slope * values[cell]!;
				numbers[names[at]!] = value;
			}
			rates[cell]! += kind.compute(parameters, numbers);
		}
	}
	return rates;
}

/** An input as a straight line of the cells' values: constant + sum of slope x value. */
interface InputLine {
	constant: number;
	slopes: { values: Float64Array; slope: number }[];
}

/** The lines of all inputs, for each layer that the rule is worked on; undefined where one of them is bent. */
function linesOf(
	request: AdviseRequest,
	compiled: CompiledRule,
	names: readonly InputName[],
	cells: CellValues,
	{ crops }: Knowledge,
	today: string
): InputLine[][] | undefined {
	const differing = (Object.entries(cells) as [Differs, Float64Array][]).map(([key, values]) => {
		const at = middleOf(values);
		return { key, values, at, by: Math.abs(at) * PROBE || PROBE };
	});
	const middle = Object.fromEntries(differing.map(({ key, at }) => [key, at]));
	const inputsAt = (change: Partial<Record<Differs, number>>) => {
		const site = siteOf(atValues(request, { ...middle, ...change }), crops, today);
		const sites = compiled.kind.byLayer ? sitesByLayer(site, compiled) : [site];
		return sites.map((one) => names.map((name) => numberOf(inputReaders[name](one, compiled))));
	};
	const base = inputsAt({});
	const probes = differing.map(({ key, at, by }) => ({
		up: inputsAt({ [key]: at + by }),
		down: inputsAt({ [key]: at - by })
	}));
	const together = inputsAt(Object.fromEntries(differing.map(({ key, at, by }) => [key, at + by])));
	const all = [together, ...probes.flatMap(({ up, down }) => [up, down])];
	if (all.some((one) => one.length !== base.length)) return undefined;
	const layers = base.map((values, layer) =>
		values.map((value, input) =>
			lineOf(
				value,
				together[layer]![input]!,
				differing.map((one, at) => ({
					...one,
					up: probes[at]!.up[layer]![input]!,
					down: probes[at]!.down[layer]![input]!
				}))
			)
		)
	);
	return layers.every((lines) => lines.every((line) => line !== undefined)) ? (layers as InputLine[][]) : undefined;
}

/** The line through a value and its probes; undefined where it is bent, or where two values work on each other. */
function lineOf(
	value: number,
	together: number,
	probes: readonly { values: Float64Array; at: number; by: number; up: number; down: number }[]
): InputLine | undefined {
	// What is not known anywhere is not known in any cell.
	if (Number.isNaN(value)) return { constant: NaN, slopes: [] };
	const scale = STRAIGHT * Math.max(1, Math.abs(value));
	const line: InputLine = { constant: value, slopes: [] };
	let sum = value;
	for (const { values, at, by, up, down } of probes) {
		const rise = up - value;
		if (!(Math.abs(rise - (value - down)) <= scale)) return undefined;
		sum += rise;
		if (rise === 0) continue;
		const slope = rise / by;
		line.slopes.push({ values, slope });
		line.constant -= slope * at;
	}
	return Math.abs(together - sum) <= scale ? line : undefined;
}

function middleOf(values: Float64Array): number {
	let sum = 0;
	let count = 0;
	for (const value of values) {
		if (Number.isNaN(value)) continue;
		sum += value;
		count++;
	}
	return sum / count;
}

function atValues(request: AdviseRequest, { yieldGoal, ...values }: Partial<Record<Differs, number>>): AdviseRequest {
	const facts = { values, ...(yieldGoal === undefined ? {} : { yieldGoal }) };
	return zoneRequest(request, { name: '', areaAcres: request.field.areaAcres ?? 1, facts, means: {} }).request;
}

function cellByCell(
	request: AdviseRequest,
	method: string,
	cells: CellValues,
	count: number,
	{ packs, ...rest }: Knowledge,
	today: string
): Float64Array {
	const differing = Object.entries(cells) as [Differs, Float64Array][];
	const known: number[] = [];
	for (let cell = 0; cell < count; cell++) {
		if (differing.every(([, values]) => !Number.isNaN(values[cell]))) known.push(cell);
	}
	const requests = function* (): Generator<AdviseRequest> {
		for (const cell of known)
			yield atValues(request, Object.fromEntries(differing.map(([key, values]) => [key, values[cell]!])));
	};
	const only = { ...rest, packs: { packs: packs.packs, rules: packs.rules.filter((rule) => rule.method === method) } };
	const run = ratesOfMany(requests(), known.length, only, today);
	let step = run.next();
	while (!step.done) step = run.next();
	const rates = new Float64Array(count).fill(NaN);
	known.forEach((cell, at) => (rates[cell] = step.done ? step.value.rates[at]! : NaN));
	return rates;
}
