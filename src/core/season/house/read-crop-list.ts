import type { Crop } from '../../schema-types';
import type { Problem } from '../../check/problem';

/** A line of a pasted list. */
export interface CropLine {
	line: number;
	field: string;
	crop: Crop;
	/** In the crop's yield unit, or tonnes and kilograms by the hectare where the grower reads metric. */
	goal: number;
}

/**
 * Reads a pasted list of fields with crop and goal, split by tabs, semicolons or commas. A first line without a number is a header.
 * Crops go by their name or id, whatever the case.
 * @returns the lines that were read, and what is wrong with the others by line
 */
export function readCropList(text: string, crops: readonly Crop[]): { lines: CropLine[]; problems: Problem[] } {
	const lines: CropLine[] = [];
	const problems: Problem[] = [];
	const known = new Map(
		crops.flatMap((crop) => [crop.id, crop.name].map((name) => [name.toLowerCase(), crop] as const))
	);
	text.split(/\r?\n/).forEach((raw, at) => {
		if (raw.trim() === '') return;
		const cells = raw.split(raw.includes('\t') ? '\t' : raw.includes(';') ? ';' : ',').map((cell) => cell.trim());
		const [field = '', cropName = '', amount = ''] = cells;
		const say = (message: string) => void problems.push({ path: `line ${at + 1}`, message });
		if (cells.length < 3)
			return at === 0 && !/\d/.test(raw) ? undefined : say(`must be field, crop, goal; got "${raw}"`);
		const goal = Number(amount);
		if (at === 0 && Number.isNaN(goal) && !/\d/.test(amount)) return;
		const crop = known.get(cropName.toLowerCase());
		if (!crop) return say(`"${cropName}" is no crop the program knows; got "${raw}"`);
		if (!(goal > 0)) return say(`the goal must be a number above 0, such as 180; got "${amount}"`);
		lines.push({ line: at + 1, field, crop, goal });
	});
	return { lines, problems };
}
