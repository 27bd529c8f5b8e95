import { SEVERITY_WORD } from '../../../../core/figure/severity-word';
import { sheetWarnings } from '../../../../core/sheet/sheet-warnings';
import { placementText } from '../../../../core/season/plan/placement-text';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { SheetContent } from '../../../../core/schema-types';
import { quantityIn } from '../../../../core/units/amount-text';
import { formatQuantity } from '../../../../core/units/display';
import { inSystem, unitInSystem } from '../../../../core/units/rate-units';
import { settingText } from '../../../../core/units/machine-setting';
import { goalText } from '../../../../core/sheet/goal-text';
import { carriesText, prescriptionText, quantityText } from '../../../../core/sheet/sheet-table';
import type { Sheet } from '../../stores/sheets';
import { longDate } from '../../../../core/units/day-text';
import { ledgerLayout } from './ledger-layout';

/** Letters of a placement that still stand in one line of a narrow column. */
const LONG_PLACEMENT = 16;

/** The page of an issued sheet: what, how much, when, where, why, cautions, who prepared it. Black on white. */
export function sheetDocument({ number, issuedAt, content }: Sheet): TDocumentDefinitions {
	const { field, crop, year, preparedBy } = content;
	return {
		pageSize: 'LETTER',
		pageMargins: [44, 36, 44, 50],
		info: {
			title: `${field.name}, ${crop.name.toLowerCase()} ${year}`,
			author: preparedBy,
			creationDate: new Date(issuedAt)
		},
		defaultStyle: { font: 'Hyperlegible', fontSize: 9, lineHeight: 1.12 },
		styles: {
			head: { bold: true, fontSize: 11, margin: [0, 12, 0, 3] },
			label: { bold: true, fontSize: 8.5 }
		},
		footer: (page, pages) => ({
			margin: [44, 8, 44, 0],
			fontSize: 8,
			columns: [
				{
					width: '*',
					text: `Prepared by ${preparedBy} with ${packsText(content)}. Void if the data change. The program advises; a licensed adviser answers.`
				},
				{
					width: 'auto',
					text: `No. ${number}, ${page} of ${pages}`,
					alignment: 'right',
					noWrap: true,
					margin: [12, 0, 0, 0]
				}
			]
		}),
		content: [
			...heading(content, number),
			{ text: 'What to do', style: 'head' },
			passesTable(content),
			{
				// Half of a soil test over the page says less than none.
				unbreakable: true,
				columnGap: 24,
				columns: [
					{ stack: [{ text: 'Why these rates', style: 'head' }, ...whyRates(content)] },
					{ width: 210, stack: [{ text: 'From this soil test', style: 'head' }, ...soilTest(content)] }
				]
			},
			...decisions(content),
			...leafTests(content),
			...changes(content),
			...cautionsOf(content)
		]
	};
}

function decisions({ decisions: all = [] }: SheetContent): Content[] {
	if (all.length === 0) return [];
	return [{ text: 'To be decided in the season', style: 'head' }, { ul: [...all] }];
}

function leafTests({ leafTests: tests = [] }: SheetContent): Content[] {
	if (tests.length === 0) return [];
	return [
		{ text: 'From the leaf tests', style: 'head' },
		...tests.map(({ title, findings }): Content => ({
			unbreakable: true,
			stack: [
				title,
				...findings.map(({ severity, text }) => ({
					text: [{ text: `${SEVERITY_WORD[severity]}: `, bold: true }, text]
				}))
			],
			margin: [0, 0, 0, 2]
		}))
	];
}

function heading({ field, crop, year, grower, issuedOn, units }: SheetContent, number: number): Content[] {
	const area = field.areaAcres === undefined ? '' : `, ${quantityIn(units, field.areaAcres, 'ac')}`;
	return [
		{
			columns: [
				{ width: '*', text: `${field.name}, ${crop.name.toLowerCase()} ${year}`, fontSize: 16, bold: true },
				{ width: 'auto', text: `No. ${number}`, bold: true, alignment: 'right' }
			]
		},
		{
			columns: [
				{ width: '*', text: `${grower}${area}. ${goalText({ crop, units })}.` },
				{ width: 'auto', text: longDate(issuedOn), alignment: 'right' }
			],
			margin: [0, 2, 0, 4]
		},
		{ canvas: [{ type: 'line', x1: 0, y1: 0, x2: 524, y2: 0, lineWidth: 1.2 }] }
	];
}

function passesTable({ passes, units }: SheetContent): Content {
	const carried = `Supplies,\n${unitInSystem('lb/ac', units)}`;
	const heads = ['When', 'What', units === 'us' ? 'Per acre' : 'Per hectare', 'Where', carried, 'Whole field'];
	const rows = passes.map((line): TableCell[] => {
		const { pass, productName, rate, carries, wholeField, gallons } = line;
		const byParts = prescriptionText(line);
		return [
			lines([longDate(pass.date), line.stage ? `about ${line.stage}` : '']),
			{
				text: [
					{ text: productName, bold: true },
					{
						text: `\n${pass.label}. ${pass.reason}${byParts ? `\nBy prescription: ${byParts}.` : ''}${line.palmDose ? `\n${line.palmDose.text}.` : ''}`,
						fontSize: 8
					}
				]
			},
			{
				...lines([
					settingText(inSystem(rate, units)),
					...(line.bases ?? []).map((base) => quantityText(inSystem(base, units))),
					gallons.applies ? quantityText(inSystem(gallons, units)) : ''
				]),
				alignment: 'right'
			},
			placementText(pass, units),
			// A number stays on the line of its nutrient.
			carriesText(carries, units)
				.replace(/ (?=\d)/g, '\u00a0')
				.replaceAll(', ', '\n') || 'lime',
			{ text: quantityText(inSystem(wholeField, units)), alignment: 'right', noWrap: wholeField.applies }
		];
	});
	return {
		table: {
			headerRows: 1,
			dontBreakRows: true,
			widths: ['auto', '*', 'auto', wherePt({ passes, units }), 'auto', 'auto'],
			body: [
				heads.map((text, at) => ({ text, style: 'label', alignment: at === 2 || at === 5 ? 'right' : 'left' })),
				...rows
			]
		},
		layout: ledgerLayout(2.5)
	};
}

/** Each in a line of its own that is not broken; empty ones fall away. */
function lines(texts: readonly string[]): { stack: Content[] } {
	return { stack: texts.filter(Boolean).map((text) => ({ text, noWrap: true })) };
}

/** Short words of where it goes take what they need; long ones are broken over lines, so that what is done has the room. */
function wherePt({ passes, units }: Pick<SheetContent, 'passes' | 'units'>): number | 'auto' {
	const longest = Math.max(0, ...passes.map(({ pass }) => placementText(pass, units).length));
	return longest > LONG_PLACEMENT ? 78 : 'auto';
}

function whyRates({ rates, units, cost, weather }: SheetContent): Content[] {
	const lines = rates.map(({ nutrient, rate, by, why }): Content => {
		const shown = inSystem(rate, units);
		const amount = shown.applies ? formatQuantity(shown.value, shown.unit) : '';
		return {
			text: [{ text: `${nutrient === 'lime' ? 'Lime' : nutrient} ${amount}`, bold: true }, ` by ${by}: ${why}.`],
			margin: [0, 0, 0, 2]
		};
	});
	const spent = cost && inSystem(cost, units);
	const money: Content[] = spent?.applies ? [{ text: `Products: ${formatQuantity(spent.value, spent.unit)}` }] : [];
	return [...lines, ...money, ...(weather ? [{ text: weather, fontSize: 8 }] : [])];
}

function soilTest({ soil }: SheetContent): Content[] {
	const rows = soil.values.map(({ label, value, unit }): TableCell[] => [
		label,
		{ text: formatQuantity(value, unit), alignment: 'right', bold: true, noWrap: true }
	]);
	const table: Content = { table: { widths: ['*', 'auto'], body: rows }, layout: 'noBorders' };
	return [{ text: soil.source, margin: [0, 0, 0, 2] }, ...(rows.length > 0 ? [table] : [])];
}

/** What the last sheet said otherwise. */
function changes({ since }: SheetContent): Content[] {
	if (!since || since.changes.length === 0) return [];
	return [
		{ text: `Changed since no. ${since.number}`, style: 'head' },
		{ ul: since.changes.map((text) => ({ text, margin: [0, 0, 0, 2] })) }
	];
}

/** What speaks against the plan with its weight, then what holds for its products. */
function cautionsOf(content: SheetContent): Content[] {
	const [first = '', ...rest]: Content[] = [
		...sheetWarnings(content).map(({ severity, text, reason }) => [
			{ text: `${SEVERITY_WORD[severity]}: `, bold: true },
			text,
			reason ? ` Issued all the same, because: ${reason}` : ''
		]),
		...content.cautions
	].map((text) => ({ text, margin: [0, 0, 0, 2] }));
	// A heading alone at the foot of a page says nothing.
	return [{ stack: [{ text: 'Cautions', style: 'head' }, { ul: [first] }], unbreakable: true }, { ul: rest }];
}

function packsText({ packs }: SheetContent): string {
	return packs.map(({ title, version }) => `${title} ${version}`).join(', ') || 'own rates';
}
