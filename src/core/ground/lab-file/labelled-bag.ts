import { readBagCode } from '../sampling/bag-code';
import type { BagDepth, SamplePoint } from '../../schema-types';
import type { Cell, CellProblem } from './cells';

/** A bag of the sampling plan, as a lab's file may name it by its code. */
export interface LabelledBag {
	code: string;
	fieldId: string;
	field: string;
	grower: string;
	/** Of the whole field where there is none. */
	zone: string | undefined;
	/** One of several over the field. */
	point?: SamplePoint | undefined;
	depth: BagDepth;
	/** YYYY-MM-DD. */
	pulledOn: string | undefined;
	/** Its results are in the book already. */
	back: boolean;
}

/**
 * The bag that a row of a lab's file is of, by the code in its sample number or field name; what is wrong with it is added to the
 * problems.
 */
export function labelledBag(
	sampleNumber: Cell,
	field: Cell,
	bags: ReadonlyMap<string, LabelledBag>,
	problems: CellProblem[]
): LabelledBag | undefined {
	const cell = [sampleNumber, field].find(({ text }) => readBagCode(text) !== undefined);
	if (!cell) return undefined;
	const problem = (message: string, { column } = cell) => void problems.push({ column, message });
	const read = readBagCode(cell.text)!;
	if (read === 'mistyped') {
		problem(`“${cell.text}” is no code of a bag: a digit of it is wrong; compare it with the label`);
		return undefined;
	}
	const bag = bags.get(read.code);
	if (!bag) {
		// Without the dashes it may be the lab's own number.
		if (cell.text.includes('-')) problem(`no bag of this book has the code ${read.code}`);
		return undefined;
	}
	if (bag.back) problem(`bag ${bag.code} is back already: its results are in the book`);
	const other = cell !== field && field.text !== '' && field.text.toLowerCase() !== bag.field.toLowerCase();
	if (other) problem(`the row says ${field.text}, and bag ${bag.code} was planned for ${bag.field}`, field);
	return bag;
}
