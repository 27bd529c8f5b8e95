import { strToU8, zipSync } from 'fflate';

export type CellOfSheet = string | number | { day: number } | { failed: string };

interface SheetOfBook {
	name?: string;
	state?: 'hidden' | 'veryHidden';
	rows: readonly (readonly CellOfSheet[])[];
	/** Rows as they stand in the file, after the others. */
	more?: string;
	/** "A1:D1": cells that are shown as one. */
	merged?: readonly string[];
}

/** A cell of a sheet; a day is its number since the end of 1899, in a cell that is styled as a date. */
export function cellOf(at: string, value: CellOfSheet): string {
	if (typeof value === 'string')
		return `<c r="${at}" t="inlineStr"><is><t xml:space="preserve">${value.replace('<', '&lt;')}</t></is></c>`;
	if (typeof value === 'number') return `<c r="${at}"><v>${value}</v></c>`;
	if ('failed' in value) return `<c r="${at}" t="e"><f>1/0</f><v>${value.failed}</v></c>`;
	return `<c r="${at}" s="1"><v>${value.day}</v></c>`;
}

const LETTERS = 'ABCDEFGHIJ';
const MAIN = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

/** The least that is a workbook. */
export function workbookOf(sheets: readonly SheetOfBook[]): Uint8Array {
	const related = (id: string, what: string, target: string) =>
		`<Relationship Id="${id}" Type="${OFFICE}/${what}" Target="${target}"/>`;
	const relations = (list: string) =>
		`<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${list}</Relationships>`;
	const names = sheets.map(({ name, state }, at) => {
		const hidden = state ? ` state="${state}"` : '';
		return `<sheet name="${name ?? `Results ${at + 1}`}" sheetId="${at + 1}"${hidden} r:id="s${at + 1}"/>`;
	});
	const files: Record<string, string> = {
		'_rels/.rels': relations(related('r1', 'officeDocument', 'xl/workbook.xml')),
		'xl/workbook.xml': `<workbook ${MAIN} xmlns:r="${OFFICE}"><sheets>${names.join('')}</sheets></workbook>`,
		'xl/_rels/workbook.xml.rels': relations(
			sheets.map((_, at) => related(`s${at + 1}`, 'worksheet', `worksheets/sheet${at + 1}.xml`)).join('') +
				related('r2', 'styles', 'styles.xml')
		),
		'xl/styles.xml': `<styleSheet ${MAIN}><cellXfs><xf numFmtId="0"/><xf numFmtId="14"/></cellXfs></styleSheet>`
	};
	for (const [at, { rows, more = '', merged = [] }] of sheets.entries()) {
		const lines = rows.map(
			(row, line) =>
				`<row r="${line + 1}">${row.map((value, column) => cellOf(`${LETTERS[column]}${line + 1}`, value)).join('')}</row>`
		);
		const merges = merged.map((range) => `<mergeCell ref="${range}"/>`).join('');
		files[`xl/worksheets/sheet${at + 1}.xml`] =
			`<worksheet ${MAIN}><sheetData>${lines.join('')}${more}</sheetData>${merges ? `<mergeCells>${merges}</mergeCells>` : ''}</worksheet>`;
	}
	return zipSync(Object.fromEntries(Object.entries(files).map(([path, text]) => [path, strToU8(text)])));
}
