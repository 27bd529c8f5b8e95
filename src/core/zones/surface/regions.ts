import type { InputBreak } from '../../reading/input-breaks';
import { conversionOf } from '../../units/result-units';
import { measuredDensity } from '../../reading/soil/read-result';
import type { SampledSoil } from '../../reading/soil/sampled-soil';
import type { ZoneAnalyte } from '../zone-means';

/** What differs from cell to cell; NaN where it is not known. */
export type CellValues = Partial<Record<ZoneAnalyte | 'yieldGoal', Float64Array>>;

export type Differs = keyof CellValues;

/** A turn in the unit that the cells are in. */
interface CellBreak {
	values: Float64Array;
	of: Differs;
	at: number;
	from: boolean;
	guards: boolean;
}

/** Cells between the same turns, and how far each of their values may move without passing one. */
export interface Region {
	/** Their places; undefined where it is all cells. */
	cells: Uint32Array | undefined;
	/** Mean of each value over the cells that have it. */
	middle: Partial<Record<Differs, number>>;
	bounds: Partial<Record<Differs, { low: number; high: number }>>;
}

/**
 * Cells by the side of each turn on which they lie. Turns that all cells lie on one side of do not count; cells whose value is
 * not known where one side gets no rate are in no region.
 */
export function regionsOf(cells: CellValues, breaks: readonly InputBreak[], soil: SampledSoil): Region[] {
	const count = Object.values(cells)[0]?.length ?? 0;
	const spans = new Map(Object.values(cells).map((values) => [values, spanOf(values)]));
	const turns = breaks
		.flatMap((one) => cellBreak(one, cells, soil))
		.filter((turn) => dividesCells(turn, spans.get(turn.values)!));
	if (turns.length === 0)
		return [{ cells: undefined, middle: middleOf(cells, (values) => spans.get(values)!), bounds: {} }];
	const regions = new Map<number, number[]>();
	for (let cell = 0; cell < count; cell++) {
		let sides = 0;
		for (const { values, at, from, guards } of turns) {
			const value = values[cell]!;
			if (guards && Number.isNaN(value)) {
				sides = -1;
				break;
			}
			sides = sides * 2 + (isBeyond(value, at, from) ? 1 : 0);
		}
		if (sides < 0) continue;
		const region = regions.get(sides);
		if (region) region.push(cell);
		else regions.set(sides, [cell]);
	}
	return [...regions.values()].map((own) => ({
		cells: Uint32Array.from(own),
		middle: middleOf(cells, (values) => spanOf(Float64Array.from(own, (cell) => values[cell]!))),
		bounds: boundsOf(own[0]!, turns)
	}));
}

function middleOf(cells: CellValues, span: (values: Float64Array) => Span): Region['middle'] {
	return Object.fromEntries(Object.entries(cells).map(([key, values]) => [key, span(values).mean]));
}

function isBeyond(value: number, at: number, from: boolean): boolean {
	return from ? value >= at : value > at;
}

/** The turn in the unit of the field's own result, which the cells are in. */
function cellBreak({ of, at, from, guards }: InputBreak, cells: CellValues, soil: SampledSoil): CellBreak[] {
	const values = cells[of as Differs];
	if (!values) return [];
	if (of === 'yieldGoal') return [{ values, of, at, from, guards }];
	for (const layer of soil.layers) {
		const own = layer.results.find(({ analyte }) => analyte === of);
		if (!own) continue;
		const { factor } = conversionOf(of, own.unit, layer.thicknessIn, measuredDensity(layer))!;
		return [{ values, of: of as Differs, at: at / factor, from, guards }];
	}
	return [];
}

/** Between what the known values of some cells lie, and whether one is not known. */
interface Span {
	low: number;
	high: number;
	holes: boolean;
	mean: number;
}

function spanOf(values: Float64Array): Span {
	let [low, high, sum, count] = [Infinity, -Infinity, 0, 0];
	for (const value of values) {
		if (Number.isNaN(value)) continue;
		if (value < low) low = value;
		if (value > high) high = value;
		sum += value;
		count++;
	}
	return { low, high, holes: count < values.length, mean: sum / count };
}

/** Whether some cells lie on either side, or get no rate for want of a value. */
function dividesCells({ at, from, guards }: CellBreak, { low, high, holes }: Span): boolean {
	return (guards && holes) || isBeyond(low, at, from) !== isBeyond(high, at, from);
}

function boundsOf(cell: number, turns: readonly CellBreak[]): Region['bounds'] {
	const bounds: Region['bounds'] = {};
	for (const { of, values, at, from } of turns) {
		const own = (bounds[of] ??= { low: -Infinity, high: Infinity });
		if (isBeyond(values[cell]!, at, from)) own.low = Math.max(own.low, at);
		else own.high = Math.min(own.high, at);
	}
	return bounds;
}
