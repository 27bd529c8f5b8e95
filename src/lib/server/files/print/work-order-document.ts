import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { CUP_KG } from '../../../../core/season/plan/pass/palm-cups';
import { placementText } from '../../../../core/season/plan/placement-text';
import { startText } from '../../../../core/sheet/goal-text';
import { carriesText, quantityText } from '../../../../core/sheet/sheet-table';
import { workOrders, type WorkOrder } from '../../../../core/sheet/work-orders';
import type { TripLoading } from '../../../../core/schema-types';
import { quantityIn } from '../../../../core/units/amount-text';
import { formatNumber } from '../../../../core/units/display';
import { settingText } from '../../../../core/units/machine-setting';
import { inSystem, unitInSystem, valueInSystem, type UnitSystem } from '../../../../core/units/rate-units';
import type { Sheet } from '../../stores/sheets';
import { longDate } from '../../../../core/units/day-text';
import { below, ledgerLayout } from './ledger-layout';

/** Lines that the driver fills in. */
const TO_FILL_IN = ['Applied on', 'By', 'Machine, setting', 'Wind, ground', 'Amount used', 'Left over'] as const;
/** The same for a team that carries bags to palms. */
const BY_HAND = ['Applied on', 'Team', 'Bags out', 'Bags used', 'Bags back', 'Palms weighed, kg'] as const;

/** The work orders of issued sheets, one page for each trip. Black on white. */
export function workOrderDocument(sheets: readonly Sheet[]): TDocumentDefinitions {
	const pages = sheets.flatMap((sheet) =>
		workOrders(sheet.content).map((order, at) => orderPage(sheet, order, at + 1))
	);
	return {
		pageSize: 'LETTER',
		pageMargins: [44, 44, 44, 52],
		info: { title: 'Work orders', creationDate: new Date(sheets[0]!.issuedAt) },
		defaultStyle: { font: 'Hyperlegible', fontSize: 10, lineHeight: 1.15 },
		styles: { head: { bold: true, fontSize: 11.5, margin: [0, 12, 0, 3] }, label: { bold: true, fontSize: 8.5 } },
		footer: (page, count) => ({
			margin: [44, 8, 44, 0],
			fontSize: 8,
			columns: [
				{ width: '*', text: 'Void if the sheet it comes from is out of date. Follow the label and local code.' },
				{ width: 'auto', text: `${page} of ${count}`, alignment: 'right' }
			]
		}),
		content: pages.flatMap((page, at) => (at === 0 ? page : [{ text: '', pageBreak: 'before' as const }, ...page]))
	};
}

function orderPage({ number, content }: Sheet, order: WorkOrder, at: number): Content[] {
	const { field, grower, preparedBy } = content;
	const area = field.areaAcres === undefined ? 'area not known' : quantityIn(content.units, field.areaAcres, 'ac');
	return [
		{
			columns: [
				{ width: '*', text: `${field.name}: ${order.title}`, fontSize: 15, bold: true },
				{ width: 'auto', text: `Order ${number}-${at}`, bold: true, alignment: 'right' }
			]
		},
		{
			columns: [
				{
					width: '*',
					text: `${grower}, ${area}. ${content.crop.name}, ${startText(content.crop)}.`
				},
				{
					width: 'auto',
					text: `For ${longDate(order.date)}${order.stage ? `, about ${order.stage}` : ''}`,
					bold: true,
					alignment: 'right'
				}
			],
			margin: [0, 2, 0, 4]
		},
		{ canvas: [{ type: 'line', x1: 0, y1: 0, x2: 524, y2: 0, lineWidth: 1.2 }] },
		{ text: 'What goes on', style: 'head' },
		productTable(content.units, order),
		...order.passes.flatMap((pass) => prescriptionTable(content.units, pass)),
		...order.loads.flatMap((load) => loadTable(content.units, load)),
		...(order.startsFrom
			? [
					{
						text: `The team starts from ${order.startsFrom}, ends at the other side; cups of ${CUP_KG} kg.`,
						margin: below(4)
					}
				]
			: []),
		...(order.machine ? [{ text: `Machine: ${order.machine}`, margin: below(4) }] : []),
		...stopBanner(order),
		...list('Cautions and setbacks', order.warnings),
		...list('Cautions', order.cautions),
		{ text: 'Done', style: 'head' },
		{
			table: {
				widths: [90, '*', 90, '*'],
				body: [0, 2, 4].map((row) =>
					(order.startsFrom ? BY_HAND : TO_FILL_IN)
						.slice(row, row + 2)
						.flatMap((text): TableCell[] => [{ text, margin: [0, 6, 0, 6] }, ''])
				)
			},
			layout: { hLineWidth: () => 0.4, vLineWidth: () => 0 }
		},
		{ text: `Ordered by ${preparedBy}, sheet no. ${number} of ${longDate(content.issuedOn)}.`, margin: [0, 10, 0, 0] }
	];
}

/** What says stop, white on black, so that nobody drives past it. */
function stopBanner({ stops }: WorkOrder): Content[] {
	if (stops.length === 0) return [];
	const lines = stops.map(({ text, reason }): Content => ({
		text: [{ text: 'STOP. ', bold: true }, text, reason ? ` Issued all the same, because: ${reason}` : ''],
		color: 'white',
		margin: [2, 2, 2, 2]
	}));
	return [
		{
			margin: [0, 8, 0, 0],
			table: { widths: ['*'], dontBreakRows: true, body: [[{ stack: lines, fillColor: 'black' }]] },
			layout: 'noBorders'
		}
	];
}

function productTable(units: UnitSystem, { passes }: WorkOrder): Content {
	const heads = ['Product', units === 'us' ? 'Per acre' : 'Per hectare', 'Whole field', 'Where', 'Supplies'];
	const rows = passes.map(({ pass, productName, rate, gallons, wholeField, carries, bases, palmDose }): TableCell[] => [
		{ text: palmDose ? `${productName}\n${palmDose.text}` : productName, bold: true },
		{
			text: [
				settingText(inSystem(rate, units)),
				...(bases ?? []).map((base) => `\n${quantityText(inSystem(base, units))}`),
				gallons.applies ? `\n${quantityText(inSystem(gallons, units))}` : '',
				pass.placement === 'leaf' && pass.waterGalAc !== undefined
					? `\nin ${quantityIn(units, pass.waterGalAc, 'gal/ac')} of water`
					: ''
			],
			bold: true,
			alignment: 'right'
		},
		{ text: quantityText(inSystem(wholeField, units)), alignment: 'right' },
		`${placementText(pass, units)}${pass.ground ? `, ground ${pass.ground}` : ''}`,
		carriesText(carries, units).replace(/ (?=\d)/g, '\u00a0') || 'lime'
	]);
	return {
		table: {
			headerRows: 1,
			dontBreakRows: true,
			widths: ['*', 82, 84, 104, 72],
			body: [
				heads.map((text, at) => ({ text, style: 'label', alignment: at === 1 || at === 2 ? 'right' : 'left' })),
				...rows
			]
		},
		layout: ledgerLayout(4)
	};
}

/** The rates of a prescription, part by part, for a driver whose monitor does not show them. */
function prescriptionTable(
	units: UnitSystem,
	{ prescription, productName, pass }: WorkOrder['passes'][number]
): Content[] {
	if (!prescription) return [];
	const rows = prescription.parts.map(({ zone, rate, areaAcres }): TableCell[] => [
		zone,
		{ text: quantityIn(units, areaAcres, 'ac'), alignment: 'right' },
		{ text: quantityIn(units, rate, pass.unit), alignment: 'right', bold: true }
	]);
	const heads = [
		`${productName} by prescription, ${quantityText(inSystem(prescription.total, units))} in all`,
		'Ground',
		'Rate'
	];
	return [
		{
			margin: [0, 8, 0, 0],
			table: {
				headerRows: 1,
				dontBreakRows: true,
				widths: ['*', 100, 100],
				body: [heads.map((text, at) => ({ text, style: 'label', alignment: at === 0 ? 'left' : 'right' })), ...rows]
			},
			layout: ledgerLayout(3)
		}
	];
}

/** "3 tanks of 1000 gal": what goes into a full one and into the last. */
function loadTable(
	units: UnitSystem,
	{ into, unit, capacity, count, acresPerLoad, lastAcres, parts, notes }: TripLoading
): Content[] {
	const acres = (value: number) => quantityIn(units, value, 'ac');
	const amount = (value: number | undefined, byLabel: true | undefined): string =>
		byLabel ? 'by its label' : value === undefined ? '' : wholeIn(units, value, unit);
	const words: Record<string, string> = { tank: count === 1 ? 'tank' : 'tanks', box: count === 1 ? 'box' : 'boxes' };
	const several = count > 1;
	const lines = parts.map(({ name, full, last, byLabel }, at): TableCell[] => [
		`${into === 'tank' && parts.length > 1 ? `${at + 1}. ` : ''}${name}`,
		{ text: amount(full, byLabel), alignment: 'right', bold: true },
		...(several ? [{ text: amount(last, byLabel), alignment: 'right' as const }] : [])
	]);
	const heads = [
		`${count} ${words[into]}, at most ${wholeIn(units, capacity, unit)}`,
		several ? `Full, ${acres(acresPerLoad)}` : acres(acresPerLoad),
		...(several ? [`Last, ${acres(lastAcres)}`] : [])
	];
	return [
		{
			margin: [0, 8, 0, 0],
			table: {
				headerRows: 1,
				dontBreakRows: true,
				widths: ['*', 100, ...(several ? [100] : [])],
				body: [heads.map((text, at) => ({ text, style: 'label', alignment: at === 0 ? 'left' : 'right' })), ...lines]
			},
			layout: ledgerLayout(3)
		},
		...notes.map((text): Content => ({ text, margin: [0, 3, 0, 0] }))
	];
}

/** Scales and meters of machines show no parts of a pound, a kilogram, a gallon or a litre. */
function wholeIn(units: UnitSystem, value: number, unit: string): string {
	const shown = unitInSystem(unit, units);
	return `${formatNumber(Math.round(valueInSystem(value, unit, units)), shown)} ${shown}`;
}

function list(title: string, texts: readonly string[]): Content[] {
	if (texts.length === 0) return [];
	return [{ text: title, style: 'head' }, { ul: texts.map((text) => ({ text, margin: [0, 0, 0, 3] })) }];
}
