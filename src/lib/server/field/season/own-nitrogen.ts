/** Why a legume has no rate of nitrogen: common practice. */
export function ownNitrogen(crop: string): string {
	return `${crop} fixes its own nitrogen: inoculate where it has not grown for years.`;
}
