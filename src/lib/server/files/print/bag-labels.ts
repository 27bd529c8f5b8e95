import { layerText } from '../../../../core/units/length-text';
import { partText } from '../../../../core/ground/sampling/part-text';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { BagRecord } from '../../stores/sampling/bags';

interface LabelSheet {
	pageSize: 'LETTER' | 'A4';
	/** Of the first label's corner, and from one label to the next, points. */
	left: number;
	top: number;
	across: number;
	down: number;
}

const COLUMNS = 3;
const ROWS = 10;
/** Labels on a sheet. */
export const LABELS_A_PAGE = COLUMNS * ROWS;

/** Address labels as they are sold: 2 5/8 x 1 in on Letter, 70 x 29.7 mm on A4. */
const SHEETS: Record<UnitSystem, LabelSheet> = {
	us: { pageSize: 'LETTER', left: 13.5, top: 36, across: 198, down: 72 },
	metric: { pageSize: 'A4', left: 0, top: 0, across: 198.43, down: 84.19 }
};
const EDGE = 9;
const CODE_SIZE = 52;
const TEXT_WIDTH = 116;
/** Letters that fit a line of a label; what is longer would run into the next one. */
const LINE = { large: 20, small: 27 };

/**
 * Labels for bags, 30 to a page: code as QR and in figures, field, grower, zone, depth, cores.
 * @param skip labels of the first sheet that were used before
 * @param day of the document, YYYY-MM-DD
 */
export function bagLabels(
	bags: readonly BagRecord[],
	units: UnitSystem,
	skip: number,
	day: string
): TDocumentDefinitions {
	const sheet = SHEETS[units];
	return {
		pageSize: sheet.pageSize,
		pageMargins: [0, 0, 0, 0],
		info: { title: 'Labels for soil bags', creationDate: new Date(`${day}T00:00:00Z`) },
		defaultStyle: { font: 'Hyperlegible', fontSize: 8, lineHeight: 1.1 },
		content: pagesOf(bags, skip).map((page, at) => ({
			stack: page.map(({ place, bag }) => label(bag, units, place)),
			...(at === 0 ? {} : { pageBreak: 'before' as const })
		}))
	};
}

function pagesOf(bags: readonly BagRecord[], skip: number): { place: number; bag: BagRecord }[][] {
	const pages: { place: number; bag: BagRecord }[][] = [];
	bags.forEach((bag, at) => {
		const place = at + skip;
		(pages[Math.floor(place / LABELS_A_PAGE)] ??= []).push({ place: place % LABELS_A_PAGE, bag });
	});
	return pages;
}

function label({ code, field, grower, bag }: BagRecord, units: UnitSystem, place: number): Content {
	const sheet = SHEETS[units];
	const x = sheet.left + (place % COLUMNS) * sheet.across + EDGE;
	const y = sheet.top + Math.floor(place / COLUMNS) * sheet.down + EDGE;
	return {
		absolutePosition: { x, y },
		columns: [
			{ width: CODE_SIZE + 8, qr: code, fit: CODE_SIZE, eccLevel: 'M' },
			{
				width: TEXT_WIDTH,
				stack: [
					{ text: code, bold: true, fontSize: 12 },
					{ text: cut(field, LINE.large), bold: true, fontSize: 9.5 },
					{ text: cut(partText(bag) ?? 'whole field', LINE.small) },
					{ text: `${layerText(bag.depth, units)}, ${bag.cores} cores` },
					{ text: cut(grower, LINE.small), fontSize: 7 }
				]
			}
		]
	};
}

function cut(text: string, letters: number): string {
	return text.length > letters ? `${text.slice(0, letters - 1)}…` : text;
}
