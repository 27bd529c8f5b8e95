import jstat from 'jstat';

/** Chance of an F at least so large; by the other tail, so that small ones keep their digits. */
export function fChance(f: number, df1: number, df2: number): number {
	return jstat.ibeta(df2 / (df2 + df1 * f), df2 / 2, df1 / 2);
}

/** Student's t that a difference must pass, two-sided. */
export function tAt(level: number, df: number): number {
	return jstat.studentt.inv((1 + level) / 2, df);
}

/** The studentized range that the widest of so many means must pass. */
export function rangeAt(level: number, means: number, df: number): number {
	return jstat.tukey.inv(level, means, df);
}
