const WITH_COMMA = /^([<>]?\s*)(\d{1,3}(?:\.\d{3})+|\d+),(\d+)$/;
/** "1,040" may be a thousand and forty. */
const NO_THOUSANDS = /^[<>]?\s*\d+,(\d{1,2}|\d{4,})$/;
const WITH_POINT = /^[<>]?\s*\d*\.(\d{1,2}|\d{4,})$/;

/**
 * The cells of a file that writes decimals with a comma, with points; commas must not stand between its cells.
 * @returns undefined where the file writes points, or nothing in it tells commas of decimals from those of thousands
 */
export function readDecimalCommas(cells: readonly (readonly string[])[]): string[][] | undefined {
	let commas = false;
	for (const row of cells) {
		for (const cell of row) {
			const text = cell.trim();
			if (WITH_POINT.test(text)) return undefined;
			commas ||= NO_THOUSANDS.test(text);
		}
	}
	if (!commas) return undefined;
	return cells.map((row) =>
		row.map((cell) =>
			cell
				.trim()
				.replace(
					WITH_COMMA,
					(_, sign: string, whole: string, part: string) => `${sign}${whole.replaceAll('.', '')}.${part}`
				)
		)
	);
}
