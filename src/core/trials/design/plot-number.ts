/** Plots are numbered by block and place: 101, 102; 201, 202. */
const PER_BLOCK = 100;

export function plotNumber(block: number, place: number): number {
	return block * PER_BLOCK + place;
}

/** Which of its block a plot is, from 1: in a Latin square its column. */
export function placeOfPlot(plot: number): number {
	return plot % PER_BLOCK;
}
