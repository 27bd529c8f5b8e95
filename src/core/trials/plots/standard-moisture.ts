/**
 * Yield at the moisture that the trade pays by: dry matter stays. Weighed at 20 %, 200 bu of corn are 189.3 at 15.5 %.
 * @param standardPercent of the crop; the yield stays as it is where either is not known
 */
export function atStandardMoisture(
	weighed: number,
	moisturePercent: number | undefined,
	standardPercent: number | undefined
): number {
	if (moisturePercent === undefined || standardPercent === undefined) return weighed;
	return (weighed * (100 - moisturePercent)) / (100 - standardPercent);
}
