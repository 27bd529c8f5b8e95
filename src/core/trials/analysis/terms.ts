import { codesOf, productCodes, type Term } from './linear-model';
import { BLOCK, COLUMN, type Cell, type ReadTrial } from './plots';

/** The blocks (in a Latin square its rows and columns), and every factor and combination of factors, the single ones first. */
export function trialTerms({ cells, levels }: ReadTrial): { ground: Term[]; treatments: Term[] } {
	const factors = Object.keys(levels);
	return {
		ground: groundTerms(cells),
		treatments: subsets(factors).map((some) => ({
			name: some.join(':'),
			factors: some,
			columns: columnsBy(cells, ({ levels: own }) =>
				productCodes(some.map((factor) => codesOf(own[factor]!, levels[factor]!)))
			)
		}))
	};
}

function groundTerms(cells: readonly Cell[]): Term[] {
	const term = (name: string, of: (cell: Cell) => string): Term => {
		const known = [...new Set(cells.map(of))];
		return { name, factors: [], columns: columnsBy(cells, (cell) => codesOf(of(cell), known)) };
	};
	const rows = term(BLOCK, ({ block }) => block);
	return cells.some(({ column }) => column !== undefined) ? [rows, term(COLUMN, ({ column }) => column!)] : [rows];
}

/** The whole plots of a split plot: each level of its factor in each block. */
export function wholePlotTerm({ cells, levels }: ReadTrial, factor: string): Term {
	const blocks = blocksOf(cells);
	return {
		name: `${BLOCK}:${factor}`,
		factors: [],
		columns: columnsBy(cells, ({ block, levels: own }) =>
			productCodes([codesOf(block, blocks), codesOf(own[factor]!, levels[factor]!)])
		)
	};
}

export function blocksOf(cells: readonly Pick<Cell, 'block'>[]): string[] {
	return [...new Set(cells.map(({ block }) => block))];
}

function columnsBy(cells: readonly Cell[], codes: (cell: Cell) => number[]): number[][] {
	const rows = cells.map(codes);
	return (rows[0] ?? []).map((_, column) => rows.map((row) => row[column]!));
}

function subsets(factors: readonly string[]): string[][] {
	const all = factors.reduce<string[][]>((some, factor) => [...some, ...some.map((one) => [...one, factor])], [[]]);
	return all.filter(({ length }) => length > 0).sort((a, b) => a.length - b.length);
}
