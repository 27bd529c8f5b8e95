import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { orderOf, type OpenPass, type OrderLine } from '../../../../core/supply/order';
import type { Product } from '../../../../core/schema-types';
import { formatNumber } from '../../../../core/units/display';
import { unitInSystem, valueInSystem, type UnitSystem } from '../../../../core/units/rate-units';
import { longDate } from '../../../../core/units/day-text';
import { below, ledgerLayout } from './ledger-layout';

/** What stands over every order. */
export interface OrderHead {
	year: number;
	orderedOn: string;
	preparedBy: string;
	dealers: Readonly<Record<string, string>>;
}

/** The order of a year on paper: a page for each grower, since each buys for himself. Black on white. */
export function orderDocument(
	open: readonly OpenPass[],
	products: readonly Product[],
	head: OrderHead
): TDocumentDefinitions {
	const growers = [...new Set(open.map(({ grower }) => grower))];
	const pages = growers.map((grower) => {
		const own = open.filter((pass) => pass.grower === grower);
		const { units } = own[0]!;
		return growerPage(grower, orderOf(own, products, units), head, units);
	});
	return {
		pageSize: 'LETTER',
		pageMargins: [44, 44, 44, 52],
		info: { title: `Orders ${head.year}`, creationDate: new Date(`${head.orderedOn}T00:00:00Z`) },
		defaultStyle: { font: 'Hyperlegible', fontSize: 10, lineHeight: 1.15 },
		styles: { label: { bold: true, fontSize: 8.5 } },
		footer: (page, count) => ({
			margin: [44, 8, 44, 0],
			fontSize: 8,
			columns: [
				{ width: '*', text: `What the open passes need on ${longDate(head.orderedOn)}. Void if the plans change.` },
				{ width: 'auto', text: `${page} of ${count}`, alignment: 'right' }
			]
		}),
		content: pages.flatMap((page, at) => (at === 0 ? page : [{ text: '', pageBreak: 'before' as const }, ...page]))
	};
}

function growerPage(
	grower: string,
	lines: readonly OrderLine[],
	{ year, preparedBy, orderedOn, dealers }: OrderHead,
	units: UnitSystem
): Content[] {
	const without = [...new Set(lines.flatMap(({ withoutArea }) => withoutArea))];
	return [
		{
			columns: [
				{ width: '*', text: `Order for ${grower}, ${year}`, fontSize: 15, bold: true },
				{ width: 'auto', text: longDate(orderedOn), bold: true, alignment: 'right' }
			]
		},
		{ canvas: [{ type: 'line', x1: 0, y1: 6, x2: 524, y2: 6, lineWidth: 1.2 }], margin: [0, 0, 0, 8] },
		{
			table: {
				headerRows: 1,
				dontBreakRows: true,
				widths: ['*', 96, 76, 76, 80],
				body: [heads(units), ...lines.flatMap((line) => rows(line, dealers[line.product.id] ?? '', units))]
			},
			layout: ledgerLayout(3)
		},
		...(without.length > 0
			? [
					{
						text: `Left out, because their area is not known: ${without.join(', ')}.`,
						margin: below(8)
					}
				]
			: []),
		...(preparedBy ? [{ text: `Prepared by ${preparedBy}.`, margin: below(10) }] : [])
	];
}

function heads(units: UnitSystem): TableCell[] {
	return ['Product, field', 'Dealer', `Needed, ${unitInSystem('lb', units)}`, 'To buy', 'First needed'].map(
		(text, at) => ({
			text,
			style: 'label',
			alignment: at === 2 || at === 3 ? 'right' : 'left'
		})
	);
}

function rows(
	{ product, pounds, toBuy, parts, firstDate }: OrderLine,
	dealer: string,
	units: UnitSystem
): TableCell[][] {
	const bold = (text: string): TableCell => ({ text, bold: true });
	const right = (text: string): TableCell => ({ text, alignment: 'right' });
	const mass = (value: number) =>
		formatNumber(Math.round(valueInSystem(value, 'lb', units)), unitInSystem('lb', units));
	const fields = parts.map((part): TableCell[] => [
		{ text: part.field, margin: [12, 0, 0, 0] },
		'',
		right(mass(part.pounds)),
		'',
		longDate(part.firstDate)
	]);
	const total = { text: mass(pounds), bold: true, alignment: 'right' as const };
	const buy = { text: `${formatNumber(toBuy.amount, 'ratio')} ${toBuy.unit}`, bold: true, alignment: 'right' as const };
	return [[bold(product.name), dealer, total, buy, bold(longDate(firstDate))], ...fields];
}
