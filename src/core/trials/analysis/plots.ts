import { InputError, type Problem } from '../../check/problem';
import type { TrialObservation, TrialRequest } from '../../schema-types';

/** What the blocks are called, and the columns of a Latin square, among the sources of variance. */
export const BLOCK = 'block';
export const COLUMN = 'column';

/** A plot of a trial with its levels as text; plots of several sites have blocks of their own. */
export interface Plot {
	block: string;
	/** In a Latin square. */
	column?: string;
	levels: Record<string, string>;
	yield: number;
}

/** The plots of one treatment in one block: a model expects the same of each. */
export interface Cell extends Pick<Plot, 'block' | 'column' | 'levels'> {
	plots: number;
	sum: number;
}

/** What is told of a trial. */
export interface ReadTrial {
	plots: Plot[];
	cells: Cell[];
	/** Set aside, each with its reason. */
	aside: string[];
	/** The levels of each factor, numbers by size. */
	levels: Record<string, string[]>;
}

/**
 * The plots of a request.
 * @throws InputError for a plot without one of the factors, or a design that its factors do not make
 */
export function readPlots({ design, factors, wholePlot, observations }: TrialRequest): ReadTrial {
	const problems: Problem[] = [];
	observations.forEach(({ levels }, at) => {
		for (const factor of factors) {
			if (levels[factor] === undefined) {
				problems.push({ path: `/observations/${at}/levels`, message: `does not tell ${factor}` });
			}
		}
	});
	if (design === 'split-plot' && factors.length < 2) {
		problems.push({ path: '/factors', message: 'must name two factors or more of a split plot' });
	}
	if (design === 'split-plot' && (wholePlot === undefined || !factors.includes(wholePlot))) {
		problems.push({ path: '/wholePlot', message: `must name the factor on the whole plots: ${factors.join(', ')}` });
	}
	const taken = factors.find((factor) => factor === BLOCK || factor === COLUMN);
	if (taken !== undefined) {
		problems.push({ path: '/factors', message: `must not name a factor "${taken}": blocks and columns are called so` });
	}
	if (design === 'latin-square') problems.push(...columnProblems(observations));
	if (problems.length > 0) throw new InputError(problems);
	const used = observations.filter(({ setAside }) => setAside === undefined);
	const plots = used.map((one) => ({
		block: ofSite(one, one.block),
		...(design === 'latin-square' ? { column: ofSite(one, one.column!) } : {}),
		levels: Object.fromEntries(factors.map((factor) => [factor, String(one.levels[factor])])),
		yield: one.yield
	}));
	const levels = Object.fromEntries(
		factors.map((factor) => [factor, sorted([...new Set(plots.map((plot) => plot.levels[factor]!))])])
	);
	const single = factors.find((factor) => levels[factor]!.length < 2);
	if (single !== undefined) {
		throw new InputError([{ path: '/factors', message: `${single} has one level only; there is nothing to compare` }]);
	}
	if (design === 'paired' && (factors.length !== 1 || levels[factors[0]!]!.length !== 2)) {
		throw new InputError([{ path: '/factors', message: 'must be one factor of two levels in paired strips' }]);
	}
	return {
		plots,
		cells: cellsOf(plots),
		aside: observations.flatMap(({ block, setAside }) =>
			setAside === undefined ? [] : [`block ${block}: ${setAside}`]
		),
		levels
	};
}

/** Blocks and columns of one site are not those of another. */
function ofSite({ site }: Pick<TrialObservation, 'site'>, part: string | number): string {
	return site === undefined ? String(part) : `${site}, ${part}`;
}

/** Each plot of a Latin square has a place of its own. */
function columnProblems(observations: readonly TrialObservation[]): Problem[] {
	const places = new Set<string>();
	return observations.flatMap(({ block, column, site }, at) => {
		const path = `/observations/${at}/column`;
		if (column === undefined) return [{ path, message: 'must tell the column of a plot of a Latin square' }];
		const place = JSON.stringify([site, block, column].map(String));
		if (places.has(place)) return [{ path, message: `names a place twice: row ${block}, column ${column}` }];
		places.add(place);
		return [];
	});
}

function sorted(levels: string[]): string[] {
	const numbers = levels.every((level) => Number.isFinite(Number(level)));
	return levels.sort((a, b) => (numbers ? Number(a) - Number(b) : a.localeCompare(b)));
}

function cellsOf(plots: readonly Plot[]): Cell[] {
	const cells = new Map<string, Cell>();
	for (const plot of plots) {
		const key = cellKey(plot);
		const cell = cells.get(key) ?? { ...placeOf(plot), plots: 0, sum: 0 };
		cell.plots++;
		cell.sum += plot.yield;
		cells.set(key, cell);
	}
	return [...cells.values()];
}

function placeOf({ block, column, levels }: Plot): Pick<Cell, 'block' | 'column' | 'levels'> {
	return { block, ...(column === undefined ? {} : { column }), levels };
}

/** What plots of one cell have alike. */
export function cellKey({ block, column, levels }: Pick<Plot, 'block' | 'column' | 'levels'>): string {
	return JSON.stringify([block, column, Object.values(levels)]);
}

/** The treatment of a plot as one text. */
export function treatmentOf({ levels }: { levels: Readonly<Record<string, string | number>> }): string {
	return Object.values(levels).join(', ');
}
