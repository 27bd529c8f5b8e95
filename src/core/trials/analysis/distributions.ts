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

/** Chance of a t at least so far from zero, on both sides. */
export function tChance(t: number, df: number): number {
	return jstat.ibeta(df / (df + t * t), df / 2, 1 / 2);
}

/** The standard normal value below which so large a share lies. */
export function normalAt(share: number): number {
	return jstat.normal.inv(share, 0, 1);
}

/** Chance of a standard normal value at least so large; by the other tail, so that small ones keep their digits. */
export function normalChance(z: number): number {
	return jstat.normal.cdf(-z, 0, 1);
}

/** Chance of a noncentral t up to so large. */
export function noncentralTChance(t: number, df: number, center: number): number {
	return jstat.noncentralt.cdf(t, df, center);
}

/** Chance of a chi-squared at least so large. */
export function chiSquareChance(x: number, df: number): number {
	return 1 - jstat.chisquare.cdf(x, df);
}
