import { validator } from '../../check/validator';
import { InputError } from '../../check/problem';
import { inLeafUnit } from '../../units/leaf-units';
import type { Crop, CropId, LabMapping, LeafLogEntry, LeafResults } from '../../schema-types';
import { notMeasured, readNumber, type CellOf, type CellProblem } from './cells';

/** What a crop is known by in a file. */
export type NamedCrop = Pick<Crop, 'id' | 'name'>;

const asResults = validator<LeafResults>('leaf-request#/definitions/LeafResults');
const MOST_LEAVES = 1000;

interface LeafFile {
	mapping: LabMapping;
	date: string | undefined;
	spot: LeafLogEntry['spot'];
	crops: readonly NamedCrop[];
}

/** The leaf test that a row is of; undefined where its day or crop is not known. What is wrong is added to the problems. */
export function readLeafRow(
	cells: readonly string[],
	cell: CellOf,
	{ mapping, date, spot, crops }: LeafFile,
	problems: CellProblem[]
): LeafLogEntry | undefined {
	const told = (role: 'crop' | 'part' | 'stage') => {
		const { column, text } = cell(role);
		const value = text === '' ? (mapping.leaf?.[role].trim() ?? '') : text;
		if (value === '') problems.push({ column, message: `the ${role} is missing; name it here or for the whole file` });
		return { column, text: value };
	};
	if (date === undefined && cell('date').text === '') {
		problems.push({ column: cell('date').column, message: 'the day is missing: a leaf test is read by its day' });
	}
	const crop = readCrop(told('crop'), crops, problems);
	const leaves = readLeaves(cell, problems);
	const results = readResults(cells, mapping, problems);
	const [part, stage] = [told('part').text, told('stage').text];
	if (!crop || date === undefined) return undefined;
	return { takenOn: date, crop, part, stage, spot, ...(leaves === undefined ? {} : { leaves }), results };
}

function readCrop(
	{ column, text }: ReturnType<CellOf>,
	crops: readonly NamedCrop[],
	problems: CellProblem[]
): CropId | undefined {
	if (text === '') return undefined;
	const plain = text.toLowerCase();
	const found = crops.find(({ id, name }) => id === plain || name.toLowerCase() === plain);
	const known = () => crops.map(({ name }) => name.toLowerCase()).join(', ');
	if (!found) problems.push({ column, message: `“${text}” is no crop of the book; known: ${known()}` });
	return found?.id;
}

function readLeaves(cell: CellOf, problems: CellProblem[]): number | undefined {
	const { column, text } = cell('leaves');
	if (notMeasured(text)) return undefined;
	const leaves = Number(text);
	if (Number.isInteger(leaves) && leaves >= 1 && leaves <= MOST_LEAVES) return leaves;
	problems.push({ column, message: `“${text}” must be a whole number of leaves, 1 to ${MOST_LEAVES}` });
	return undefined;
}

function readResults(cells: readonly string[], { columns }: LabMapping, problems: CellProblem[]): LeafResults {
	const results: LeafResults = {};
	columns.forEach(({ role, element, unit }, column) => {
		const text = (cells[column] ?? '').trim();
		if (role !== 'result' || !element || unit === undefined || notMeasured(text)) return;
		const number = readNumber(text);
		if (typeof number === 'string') return void problems.push({ column, message: `${element}: ${number}` });
		const { value, qualifier } = number;
		if (qualifier) {
			const message = `${element}: “${text}” is no value to read against a range; write a number, or leave the cell empty`;
			return void problems.push({ column, message });
		}
		const inUnit = inLeafUnit(element, unit, value);
		if (inUnit === undefined) return;
		const wrong = outOfBounds({ [element]: inUnit });
		if (wrong) problems.push({ column, message: `${element}: “${text}” ${unit} cannot be: ${wrong}` });
		else results[element] = inUnit;
	});
	return results;
}

/** What is wrong with a value by the schema of leaf results. */
function outOfBounds(result: LeafResults): string | undefined {
	try {
		asResults(result);
		return undefined;
	} catch (error) {
		// The cell says what it got.
		if (error instanceof InputError) return error.problems[0]!.message.replace(/; got .*$/, '');
		throw error;
	}
}
