// The part of jstat that the core uses; the package ships no types.
declare module 'jstat' {
	const jstat: {
		centralF: { cdf(x: number, df1: number, df2: number): number };
		/** R's quantile types by alphap and betap; 1, 1 is type 7. */
		quantiles(values: number[], shares: number[], alphap: number, betap: number): number[];
	};
	export default jstat;
}
