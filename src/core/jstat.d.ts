// The part of jstat that the core uses; the package ships no types.
declare module 'jstat' {
	const jstat: {
		centralF: { cdf(x: number, df1: number, df2: number): number };
		studentt: { cdf(x: number, df: number): number; inv(p: number, df: number): number };
		noncentralt: { cdf(x: number, df: number, center: number): number };
		normal: { cdf(x: number, mean: number, sd: number): number; inv(p: number, mean: number, sd: number): number };
		chisquare: { cdf(x: number, df: number): number };
		/** The studentized range of so many means. */
		tukey: { cdf(q: number, means: number, df: number): number; inv(p: number, means: number, df: number): number };
		/** Pearson's. */
		corrcoeff(x: number[], y: number[]): number;
		covariance(x: number[], y: number[]): number;
		/** Of a sample where the flag is set. */
		variance(x: number[], sample: boolean): number;
		mean(x: number[]): number;
		median(x: number[]): number;
		/** The regularised incomplete beta function. */
		ibeta(x: number, a: number, b: number): number;
		/** R's quantile types by alphap and betap; 1, 1 is type 7. */
		quantiles(values: number[], shares: number[], alphap: number, betap: number): number[];
	};
	export default jstat;
}
