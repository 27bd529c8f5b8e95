/** What a solver found: `Optimal` with values by column name, and what a row is worth where nothing is whole-numbered. */
export interface Solved {
	Status: string;
	ObjectiveValue: number;
	Columns: Record<string, { Primal?: number }>;
	Rows: readonly { Name?: string; Dual?: number }[];
}

/** A solver of linear and whole-number problems written in the LP format. */
export interface LpSolver {
	solve(problem: string): Solved;
}

let loading: Promise<LpSolver> | undefined;

/** HiGHS, loaded once when the first mix is asked for. */
export function loadSolver(): Promise<LpSolver> {
	loading ??= import('highs').then(({ default: load }) => load() as Promise<LpSolver>);
	return loading;
}
