import { entriesOf } from '../../check/typed-object';
import { InputError } from '../../check/problem';
import type { CompiledRule } from '../../packs/pack';
import type { InputName } from '../../packs/rule-kind';
import { siteOf, type Knowledge } from '../../rates/advise';
import { inputReaders } from '../../rates/input-readers';
import { partsOf } from '../../reading/rule-parts';
import { SiteReading } from '../../reading/site-reading';
import { numberOf } from '../../reading/site-inputs';
import type { AdviseRequest } from '../../schema-types';
import { zoneRequest } from '../zone-request';
import type { CellValues, Differs, Region } from './regions';

/** How far from the middle an input is probed for its slope, share of the middle. */
const PROBE = 0.05;
/** And of the way to the next turn. */
const WITHIN = 0.5;
const STRAIGHT = 1e-9;

/** An input as a straight line of the cells' values: constant + sum of slope x value. */
export interface InputLine {
	constant: number;
	slopes: { values: Float64Array; slope: number }[];
}

/**
 * The lines of all inputs over one region, for each layer that the rule is worked on.
 * @returns 'bent' where an input does not follow in a straight line
 */
export function linesOf(
	request: AdviseRequest,
	compiled: CompiledRule,
	names: readonly InputName[],
	cells: CellValues,
	region: Region,
	knowledge: Knowledge,
	today: string
): InputLine[][] | 'bent' {
	const differing = entriesOf(cells).map(([key, values]) => {
		const at = region.middle[key]!;
		const { low = -Infinity, high = Infinity } = region.bounds[key] ?? {};
		const room = Math.min(high - at, at - low) * WITHIN;
		return { key, values, at, by: Math.min(Math.abs(at) * PROBE || PROBE, room) };
	});
	const { middle } = region;
	const inputsAt = (change: Partial<Record<Differs, number>>) => {
		const site = siteOf(atValues(request, { ...middle, ...change }), knowledge, today);
		const parts = partsOf(compiled, new SiteReading(site, inputReaders));
		if (!Array.isArray(parts)) return [];
		return parts.map(({ reading }) => names.map((name) => numberOf(reading.input(name, compiled))));
	};
	const base = inputsAt({});
	const probes = differing.map(({ key, at, by }) => ({
		up: inputsAt({ [key]: at + by }),
		down: inputsAt({ [key]: at - by })
	}));
	const together = inputsAt(Object.fromEntries(differing.map(({ key, at, by }) => [key, at + by])));
	const all = [together, ...probes.flatMap(({ up, down }) => [up, down])];
	if (all.some((one) => one.length !== base.length)) return 'bent';
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
	return layers.every((lines) => lines.every((line) => line !== undefined)) ? layers : 'bent';
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

/** Whether a rule, or the goal itself, is refused on the ground of a region. */
export function isRefused(
	request: AdviseRequest,
	compiled: CompiledRule,
	{ middle }: Region,
	knowledge: Knowledge,
	today: string
): boolean {
	try {
		const site = siteOf(atValues(request, middle), knowledge, today);
		return !Array.isArray(partsOf(compiled, new SiteReading(site, inputReaders)));
	} catch (error) {
		if (error instanceof InputError) return true;
		throw error;
	}
}

/** The field's request with the values of a cell in its place. */
export function atValues(
	request: AdviseRequest,
	{ yieldGoal, ...values }: Partial<Record<Differs, number>>
): AdviseRequest {
	const facts = { values, ...(yieldGoal === undefined ? {} : { yieldGoal }) };
	return zoneRequest(request, { name: '', areaAcres: request.field.areaAcres ?? 1, facts, means: {} }).request;
}
