import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { EXCESS_N_LB } from '../../../../core/season/plan/balance/book-year';
import { MAIN_BALANCED } from '../../../../core/season/plan/balance/nutrient-balance';
import { harvestText } from '../../../../core/units/amount-text';
import { longDate } from '../../../../core/units/day-text';
import { formatNumber, formatQuantity } from '../../../../core/units/display';
import { unitInSystem, valueInSystem, type UnitSystem } from '../../../../core/units/rate-units';
import type { YearsPage } from '../../pages/office/years-page';
import { ledgerLayout } from './ledger-layout';

type Line = YearsPage['lines'][number];

/** Balances over the years as they are drawn, with what each line is. */
interface PrintedChart {
	name: string;
	svg: string;
	keys: readonly { nutrient: string; color: string; type: string }[];
}

interface PrintedCharts {
	charts: readonly PrintedChart[];
	/** How many are not drawn. */
	left: number;
}

/** Two charts stand beside each other; they are drawn larger than they are printed, so that their letters are those of the table. */
const CHARTS_A_ROW = 2;
const CHART_PT = 350;
export const DRAWN_CHART_PX = { width: 520, height: 210 } as const;
const HEAD = { field: 'Field', grower: 'Grower', book: 'Book' };

/**
 * The book over the years on paper, landscape: the table of the page, and its balances drawn.
 * @param day on which it is printed, YYYY-MM-DD
 */
export function yearsDocument(
	{ from, to, by, lines, units }: Pick<YearsPage, 'from' | 'to' | 'by' | 'lines' | 'units'>,
	day: string,
	{ charts, left }: PrintedCharts = { charts: [], left: 0 }
): TDocumentDefinitions {
	const title = from === to ? `The book of ${from}` : `The book from ${from} to ${to}`;
	const unit = unitInSystem('lb/ac', units);
	const heads = [
		HEAD[by],
		'Year',
		'Crop',
		'Harvest',
		'Of goal',
		'N applied',
		...MAIN_BALANCED.map((nutrient) => `${nutrient} balance`),
		'Running P2O5',
		'Running K2O',
		units === 'us' ? 'Cost, an acre' : 'Cost, a hectare',
		'Lime to offset'
	];
	return {
		pageSize: units === 'metric' ? 'A4' : 'LETTER',
		pageOrientation: 'landscape',
		pageMargins: [36, 36, 36, 44],
		info: { title, creationDate: new Date(`${day}T00:00:00Z`) },
		defaultStyle: { font: 'Hyperlegible', fontSize: 8.5, lineHeight: 1.15 },
		footer: (page, count) => ({
			margin: [36, 8, 36, 0],
			fontSize: 7.5,
			columns: [
				{
					width: '*',
					text: `Amounts in ${unit}, applied less taken off; of several fields, means by area. Running: the years shown.`
				},
				{ width: 'auto', text: `${page} of ${count}`, alignment: 'right' }
			]
		}),
		content: [
			{
				columns: [
					{ width: '*', text: title, fontSize: 15, bold: true },
					{ width: 'auto', text: longDate(day), bold: true, alignment: 'right' }
				],
				margin: [0, 0, 0, 8]
			},
			{
				table: {
					headerRows: 1,
					dontBreakRows: true,
					widths: ['*', 22, 56, 44, 30, 34, 36, 36, 36, 36, 40, 40, 46, 34],
					body: [heads.map(headCell), ...lines.map((line) => cells(line, units))]
				},
				layout: ledgerLayout(2)
			},
			...(lines.some(({ band }) => band === 'high')
				? [
						{
							text: `Bold: a nitrogen balance of +${formatNumber(valueInSystem(EXCESS_N_LB, 'lb/ac', units), 'lb/ac')} ${unit} or more; about so much is seen at the optimum, more is left to leach (common practice; sites differ).`,
							margin: [0, 8, 0, 0] as [number, number, number, number]
						}
					]
				: []),
			...chartRows(charts, unit),
			...(left > 0
				? [
						{
							text: `${left} more can be drawn on the page of the years.`,
							margin: [0, 8, 0, 0] as [number, number, number, number]
						}
					]
				: [])
		]
	};
}

function chartRows(charts: readonly PrintedChart[], unit: string): Content[] {
	const starts = charts.flatMap((_, at) => (at % CHARTS_A_ROW === 0 ? [at] : []));
	return starts.map((start) => ({
		unbreakable: true,
		margin: [0, 12, 0, 0],
		columnGap: 20,
		columns: charts.slice(start, start + CHARTS_A_ROW).map(({ name, svg, keys }) => ({
			width: CHART_PT,
			stack: [
				{ text: `${name}: balance of the year, ${unit}`, bold: true, fontSize: 9.5 },
				{ columns: keys.map(keyOf), columnGap: 10, margin: [0, 3, 0, 2] },
				{ svg, width: CHART_PT }
			]
		}))
	}));
}

/** Dashes of a line's look, points. */
const DASHES: Record<string, { length: number; space: number }> = {
	dashed: { length: 4, space: 3 },
	dotted: { length: 1.5, space: 1.5 }
};

function keyOf({ nutrient, color, type }: PrintedChart['keys'][number]): Column {
	const dash = DASHES[type];
	const line = { type: 'line' as const, x1: 0, y1: 5, x2: 18, y2: 5, lineWidth: 2, lineColor: color };
	return {
		width: 'auto',
		columnGap: 4,
		columns: [
			{ width: 18, canvas: [dash ? { ...line, dash } : line] },
			{ width: 'auto', text: nutrient, color, bold: true }
		]
	};
}

const FIRST_NUMBER = 3;

function headCell(text: string, at: number): TableCell {
	return { text, bold: true, fontSize: 7.5, alignment: at >= FIRST_NUMBER || at === 1 ? 'right' : 'left' };
}

function cells(line: Line, units: UnitSystem): TableCell[] {
	const pounds = (value: number | undefined) =>
		value === undefined ? '' : formatNumber(Math.round(valueInSystem(value, 'lb/ac', units)) + 0, 'lb/ac');
	const { balance, running, harvested, yieldUnit = '', cost, acidity, ofGoal } = line;
	const numbers: { text: string; bold?: boolean }[] = [
		{ text: harvested === undefined ? '' : harvestText(units, harvested, yieldUnit) },
		{ text: ofGoal === undefined ? '' : `${Math.round(ofGoal * 100)} %` },
		{ text: pounds(line.appliedN) },
		...MAIN_BALANCED.map((nutrient) => ({
			text: pounds(balance[nutrient]),
			bold: nutrient === 'N' && line.band === 'high'
		})),
		{ text: pounds(running.P2O5) },
		{ text: pounds(running.K2O) },
		{
			text:
				cost === undefined ? 'price missing' : cost > 0 ? formatQuantity(valueInSystem(cost, '$/ac', units), '$') : ''
		},
		{ text: acidity !== undefined && Math.round(acidity) !== 0 ? pounds(acidity) : '' }
	];
	const words: TableCell[] = [line.name, { text: String(line.year), alignment: 'right' }, line.crop];
	return [...words, ...numbers.map(({ text, bold = false }): TableCell => ({ text, bold, alignment: 'right' }))];
}
