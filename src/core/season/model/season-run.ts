/** A season day by day; kg N/ha, C, mm. */
export interface SeasonRun {
	days: number;
	soilC: Float64Array;
	/** Water in the top layer, and whether it was saturated. */
	waterMm: Float64Array;
	saturated: Uint8Array;
	/** Mineral nitrogen in all layers and in dressings that have not turned yet. */
	inGround: Float64Array;
	nitrate: Float64Array;
	/** Of nitrate: in the top layer. */
	topNitrate: Float64Array;
	/** Totals from the start up to each day. */
	wanted: Float64Array;
	takenUp: Float64Array;
	volatilised: Float64Array;
	denitrified: Float64Array;
	leached: Float64Array;
	mineralised: Float64Array;
	applied: Float64Array;
	/** Taken up by what was sown after the harvest. */
	caught: Float64Array;
	/** Held by the decay of a killed cover crop on each day. */
	tiedUp: Float64Array;
	/** What does not add up on a day: none beyond rounding. */
	unbalanced: Float64Array;
	/** Days on which the crop had less than 95 % of what it wanted until then. */
	shortDays: number;
}

/** The series that only grow. */
export const TOTALS = [
	'wanted',
	'takenUp',
	'volatilised',
	'denitrified',
	'leached',
	'mineralised',
	'applied',
	'caught'
] as const;

/** A run of so many days with nothing in it yet. */
export function emptyRun(days: number): SeasonRun {
	const series = () => new Float64Array(days);
	return {
		days,
		soilC: series(),
		waterMm: series(),
		saturated: new Uint8Array(days),
		inGround: series(),
		nitrate: series(),
		topNitrate: series(),
		wanted: series(),
		takenUp: series(),
		volatilised: series(),
		denitrified: series(),
		leached: series(),
		mineralised: series(),
		applied: series(),
		caught: series(),
		tiedUp: series(),
		unbalanced: series(),
		shortDays: 0
	};
}
