import { csvLines } from '../../check/csv-lines';
import { validator } from '../../check/validator';
import { InputError, type Problem } from '../../check/problem';
import type { Product } from '../../schema-types';
import { NUTRIENTS } from '../../season/plan/pass/pass-nutrients';
import { plainNumber } from '../../units/display';
import { checkAnalysis } from './check-analysis';
import { sieveFault, SIEVES } from './quarry-lime';

const FORMS = ['nitrate', 'ammonium', 'urea'] as const;
const HEADERS = [
	'id',
	'name',
	'state',
	...NUTRIENTS,
	'density lb/gal',
	...FORMS,
	'salt index',
	'chloride %',
	'CCE %',
	...SIEVES.map(sieveHead),
	'moisture %',
	'dissolves',
	'placements',
	'hazards'
];
/** The column of what passes a sieve. */
function sieveHead(mesh: number): string {
	return `through ${mesh} mesh %`;
}
const LIST = '|';
/** No dealer's list is longer. */
const MOST_LINES = 2000;
const asProduct = validator<Product>('products#/definitions/Product');

/** The cards of a catalogue as rows of text, header first. */
export function productRows(products: readonly Product[]): string[][] {
	const number = (value: number | undefined) => (value === undefined ? '' : plainNumber(value, ''));
	return [
		HEADERS,
		...products.map((product) => [
			product.id,
			product.name,
			product.state,
			...NUTRIENTS.map((nutrient) => number(product.analysis[nutrient])),
			number(product.densityLbPerGal),
			...FORMS.map((form) => number(product.nitrogenForms?.[form])),
			number(product.saltIndex),
			number(product.chloridePercent),
			number(product.lime?.neutralizingValuePercent),
			...SIEVES.map((at) => number(product.lime?.passing?.find(({ mesh }) => mesh === at)?.percent)),
			number(product.lime?.moisturePercent),
			product.dissolves ?? '',
			product.placements.join(LIST),
			product.hazards.join(LIST)
		])
	];
}

/**
 * Own products of a CSV file, by the same columns; those that are left out or empty are not known.
 * @throws InputError naming line, column, value and what would be right; a file with a fault gives nothing
 */
export function readProductCsv(text: string): Product[] {
	const [head, ...rows] = csvLines(text, MOST_LINES);
	const heads = head?.cells;
	if (!heads || rows.length === 0) throw new InputError([{ path: 'line 1', message: 'the file holds no products' }]);
	const missing = ['id', 'name', 'state', 'placements'].find((name) => !heads.includes(name));
	if (missing) {
		throw new InputError([{ path: 'line 1', message: `has no column “${missing}”; it needs ${HEADERS.join(', ')}` }]);
	}
	const problems: Problem[] = [];
	const products = rows.map(({ line, cells }) => {
		const cell = (name: string) => cells[heads.indexOf(name)] ?? '';
		try {
			const product = checkAnalysis(asProduct(productOf(cell)));
			const fault = sieveFault(product.lime);
			if (fault) throw new InputError([{ path: '/lime/passing', message: fault }]);
			return product;
		} catch (error) {
			if (!(error instanceof InputError)) throw error;
			const place = `line ${line}`;
			problems.push(...error.problems.map(({ path, message }) => ({ path: `${place}${path}`, message })));
			return undefined;
		}
	});
	const ids = products.map((product) => product?.id);
	ids.forEach((id, at) => {
		if (id !== undefined && ids.indexOf(id) !== at) {
			const lineOf = (row: number) => rows[row]!.line;
			problems.push({
				path: `line ${lineOf(at)}/id`,
				message: `"${id}" stands on line ${lineOf(ids.indexOf(id))} already`
			});
		}
	});
	if (problems.length > 0) throw new InputError(problems);
	return products.filter((product) => product !== undefined);
}

/** The document of a row; what is wrong with it the schema says. */
function productOf(cell: (name: string) => string): unknown {
	const known = (fields: Record<string, unknown>) =>
		Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
	// What is no number stays as it is, so that the schema can name it.
	const number = (name: string) =>
		cell(name) === '' ? undefined : Number.isNaN(Number(cell(name))) ? cell(name) : Number(cell(name));
	const list = (name: string) =>
		cell(name)
			.split(LIST)
			.map((part) => part.trim())
			.filter(Boolean);
	const lime = known({
		name: cell('name'),
		neutralizingValuePercent: number('CCE %'),
		passing: SIEVES.flatMap((mesh) => {
			const percent = number(sieveHead(mesh));
			return percent === undefined ? [] : [{ mesh, percent }];
		}),
		moisturePercent: number('moisture %'),
		magnesiumPercent: number('Mg')
	});
	const forms = known(Object.fromEntries(FORMS.map((form) => [form, number(form)])));
	return known({
		id: cell('id'),
		name: cell('name'),
		state: cell('state'),
		analysis: known(Object.fromEntries(NUTRIENTS.map((nutrient) => [nutrient, number(nutrient)]))),
		placements: list('placements'),
		hazards: list('hazards'),
		basis: 'adviser',
		densityLbPerGal: number('density lb/gal'),
		nitrogenForms: Object.keys(forms).length > 0 ? forms : undefined,
		saltIndex: number('salt index'),
		chloridePercent: number('chloride %'),
		lime: number('CCE %') === undefined ? undefined : lime,
		dissolves: cell('dissolves') || undefined,
		own: true
	});
}
