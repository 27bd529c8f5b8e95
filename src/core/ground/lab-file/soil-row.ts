import type { LabMapping, Layer, Result } from '../../schema-types';
import { analyteName } from '../analyte-names';
import { CM_PER_IN } from '../../units/factors';
import { whyImpossible } from '../impossible-value';
import { notMeasured, readNumber, type CellOf, type CellProblem } from './cells';

type Depth = Pick<Layer, 'top' | 'bottom' | 'depthUnit'>;

/** The layer of soil that a row is of; what is wrong is added to the problems. */
export function readLayer(
	cells: readonly string[],
	cell: CellOf,
	mapping: LabMapping,
	problems: CellProblem[]
): Layer | undefined {
	const depth = readDepth(cell, mapping, problems);
	const results = readResults(cells, mapping, depth, problems);
	return depth && { ...depth, results };
}

function readDepth(cell: CellOf, { depth }: LabMapping, problems: CellProblem[]) {
	const asLayer = (top: number, bottom: number, depthUnit: Layer['depthUnit'], column: number) => {
		if (bottom > top) return { top, bottom, depthUnit };
		problems.push({ column, message: `the depth ${top}-${bottom} is upside down` });
		return undefined;
	};
	const range = cell('depth');
	if (range.text !== '') {
		const match = /^(\d+(?:\.\d+)?)\s*(?:-|–|to)\s*(\d+(?:\.\d+)?)\s*(in|inch|inches|"|cm)?$/i.exec(range.text);
		if (match) {
			const unit = match[3] ? (match[3].toLowerCase() === 'cm' ? 'cm' : 'in') : depth.unit;
			return asLayer(Number(match[1]), Number(match[2]), unit, range.column);
		}
		problems.push({ column: range.column, message: `“${range.text}” is no depth; write it as 0-8` });
		return undefined;
	}
	const top = cell('top depth');
	const bottom = cell('bottom depth');
	if (top.column >= 0 && bottom.column >= 0) {
		const [from, to] = [Number(top.text), Number(bottom.text)];
		if (top.text !== '' && bottom.text !== '' && from >= 0 && to >= 0)
			return asLayer(from, to, depth.unit, bottom.column);
		problems.push({ column: top.column, message: `“${top.text}” to “${bottom.text}” is no depth` });
		return undefined;
	}
	return { top: depth.top, bottom: depth.bottom, depthUnit: depth.unit };
}

function readResults(
	cells: readonly string[],
	{ columns }: LabMapping,
	depth: Depth | undefined,
	problems: CellProblem[]
): Result[] {
	return columns.flatMap(({ role, analyte, method, unit }, column) => {
		const text = (cells[column] ?? '').trim();
		if (role !== 'result' || !analyte || unit === undefined || notMeasured(text)) return [];
		const number = readNumber(text);
		if (typeof number === 'string') {
			problems.push({ column, message: `${analyteName(analyte)}: ${number}` });
			return [];
		}
		const wrong = depth && whyImpossible({ analyte, value: number.value, unit }, thicknessIn(depth));
		if (wrong) problems.push({ column, message: `${analyteName(analyte)} ${text} ${wrong}` });
		return [{ analyte, ...(method ? { method } : {}), ...number, unit }];
	});
}

function thicknessIn({ top, bottom, depthUnit }: Depth): number {
	return (bottom - top) / (depthUnit === 'cm' ? CM_PER_IN : 1);
}
