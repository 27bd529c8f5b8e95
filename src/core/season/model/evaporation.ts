/** Solar constant, MJ per m2 and minute; FAO paper 56. */
const SOLAR_CONSTANT = 0.082;
/** mm of water for each MJ per m2; FAO paper 56. */
const MM_PER_MJ = 0.408;

/**
 * Reference evapotranspiration, mm a day: 0.0023 x (mean + 17.8) x sqrt(max - min) x radiation above the air.
 * Hargreaves and Samani 1985; radiation after FAO paper 56 (memory).
 * @param latitude degrees, north above 0
 * @param dayOfYear 1 to 366
 */
export function referenceEvaporation(minC: number, maxC: number, latitude: number, dayOfYear: number): number {
	const mean = (minC + maxC) / 2;
	const radiation = MM_PER_MJ * extraterrestrialRadiation(latitude, dayOfYear);
	return Math.max(0, 0.0023 * (mean + 17.8) * Math.sqrt(Math.max(0, maxC - minC)) * radiation);
}

/** Radiation above the air, MJ per m2 and day; FAO paper 56, equations 21 to 25 (memory). */
export function extraterrestrialRadiation(latitude: number, dayOfYear: number): number {
	const phi = (Math.PI / 180) * latitude;
	const turn = (2 * Math.PI * dayOfYear) / 365;
	const distance = 1 + 0.033 * Math.cos(turn);
	const declination = 0.409 * Math.sin(turn - 1.39);
	const sunset = Math.acos(Math.min(1, Math.max(-1, -Math.tan(phi) * Math.tan(declination))));
	const sun = sunset * Math.sin(phi) * Math.sin(declination) + Math.cos(phi) * Math.cos(declination) * Math.sin(sunset);
	return ((24 * 60) / Math.PI) * SOLAR_CONSTANT * distance * sun;
}
