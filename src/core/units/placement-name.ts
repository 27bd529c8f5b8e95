/** What advisers call a place, where its id is not the word for it. */
const NAMES: Partial<Record<string, string>> = { 'row-base stream': 'drop-nozzle band at the row base' };

/** A place as it reads in a sentence or a list. */
export function placementName(placement: string): string {
	return NAMES[placement] ?? placement;
}
