import { Matrix } from 'ml-matrix';
import type { Cell, Plot } from './plots';

/** A term of the model with its columns of the design; its factors are none for the blocks. */
export interface Term {
	name: string;
	factors: readonly string[];
	columns: number[][];
}

/** What a model leaves over, and what it takes. */
export interface Fitted {
	rss: number;
	/** Columns that the others do not already tell. */
	rank: number;
}

/** Below this part of its own sum of squares a column is told by those before it. */
const TOLD = 1e-9;

/**
 * Least squares by sweeping the cross products: each term's columns are effects that add up to zero over its levels, so that a mean
 * that is even over blocks and other factors leaves their columns out. The cross products are made once; a model is
 * swept from them, which also finds what is confounded.
 */
export class LinearModel {
	readonly #products: number[][];
	readonly #at: Map<string, number[]>;
	readonly #size: number;
	readonly #columns: readonly number[][];

	constructor({ plots, cells }: { plots: readonly Plot[]; cells: readonly Cell[] }, terms: readonly Term[]) {
		const mean = plots.reduce((sum, plot) => sum + plot.yield, 0) / plots.length;
		const columns = [cells.map(() => 1), ...terms.flatMap((term) => term.columns)];
		// Plots of a cell have one row of the design, so the cell stands for them; yields about their mean keep the digits of
		// small differences.
		const weights = cells.map((cell) => Math.sqrt(cell.plots));
		const all = new Matrix([
			...columns.map((column) => column.map((code, at) => code * weights[at]!)),
			cells.map((cell, at) => (cell.sum - cell.plots * mean) / weights[at]!)
		]);
		this.#products = all.mmul(all.transpose()).to2DArray();
		const last = this.#products.at(-1)!;
		last[last.length - 1] = plots.reduce((sum, plot) => sum + (plot.yield - mean) ** 2, 0);
		this.#size = columns.length;
		this.#columns = columns;
		this.#at = new Map();
		let next = 1;
		for (const { name, columns: own } of terms) {
			this.#at.set(
				name,
				own.map(() => next++)
			);
		}
		this.mean = mean;
	}

	/** Of all plots. */
	readonly mean: number;

	/** The model of these terms, in their order. */
	fit(terms: readonly Term[]): Fitted {
		const { matrix, swept } = this.#sweep(terms);
		return { rss: matrix[this.#size]![this.#size]!, rank: swept.length };
	}

	/**
	 * A mean by the model and its standard error for a residual variance of 1.
	 * @param codes value of each column of the terms that the mean is of; those of other terms are 0
	 */
	meanOf(terms: readonly Term[], codes: ReadonlyMap<string, readonly number[]>): { mean: number; perSd: number } {
		const { matrix, swept } = this.#sweep(terms);
		const weights = new Array<number>(this.#size).fill(0);
		weights[0] = 1;
		for (const [name, values] of codes) {
			this.#at.get(name)!.forEach((column, at) => (weights[column] = values[at]!));
		}
		let mean = this.mean;
		let variance = 0;
		for (const i of swept) {
			mean += weights[i]! * matrix[i]![this.#size]!;
			for (const j of swept) variance += weights[i]! * weights[j]! * matrix[i]![j]!;
		}
		return { mean, perSd: Math.sqrt(variance) };
	}

	/** What a plot of each cell is expected to yield by the model, in the order of the cells. */
	expected(terms: readonly Term[]): number[] {
		const { matrix, swept } = this.#sweep(terms);
		const taken = swept.map((column) => ({ column: this.#columns[column]!, by: matrix[column]![this.#size]! }));
		return this.#columns[0]!.map((_, cell) =>
			taken.reduce((sum, { column, by }) => sum + by * column[cell]!, this.mean)
		);
	}

	/** How much of the expectation of each of these cells comes from a single plot of its own: 0 to 1. */
	leverages(terms: readonly Term[], cells: readonly number[]): number[] {
		const { matrix, swept } = this.#sweep(terms);
		return cells.map((cell) =>
			swept.reduce((sum, i) => {
				const row = matrix[i]!;
				const by = swept.reduce((own, j) => own + row[j]! * this.#columns[j]![cell]!, 0);
				return sum + by * this.#columns[i]![cell]!;
			}, 0)
		);
	}

	#sweep(terms: readonly Term[]): { matrix: number[][]; swept: number[] } {
		const matrix = this.#products.map((row) => [...row]);
		const swept: number[] = [];
		for (const pivot of [0, ...terms.flatMap(({ name }) => this.#at.get(name)!)]) {
			const left = matrix[pivot]![pivot]!;
			if (left <= TOLD * this.#products[pivot]![pivot]!) continue;
			sweepOn(matrix, pivot, left);
			swept.push(pivot);
		}
		return { matrix, swept };
	}
}

/** Gauss and Jordan's step: afterwards the swept part holds the inverse, the last column the coefficients. */
function sweepOn(matrix: number[][], pivot: number, left: number): void {
	const row = matrix[pivot]!;
	for (let j = 0; j < row.length; j++) row[j]! /= left;
	for (let i = 0; i < matrix.length; i++) {
		if (i === pivot) continue;
		const other = matrix[i]!;
		const factor = other[pivot]!;
		if (factor === 0) continue;
		for (let j = 0; j < other.length; j++) other[j]! -= factor * row[j]!;
		other[pivot] = -factor / left;
	}
	row[pivot] = 1 / left;
}

/** Codes of a level: 1 in its own column, -1 in all where it is the last. */
export function codesOf(level: string, levels: readonly string[]): number[] {
	const at = levels.indexOf(level);
	return levels.slice(1).map((_, column) => (at === levels.length - 1 ? -1 : at === column ? 1 : 0));
}

/** The codes of several factors together: each column of one by each of the next. */
export function productCodes(parts: readonly (readonly number[])[]): number[] {
	return parts.reduce<number[]>((all, part) => all.flatMap((one) => part.map((other) => one * other)), [1]);
}
