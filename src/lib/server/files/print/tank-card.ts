import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Answer } from '../../../../core/figure/figure';
import { SEVERITY_WORD } from '../../../../core/figure/severity-word';
import type { CautionList, FertigationRequest } from '../../../../core/schema-types';
import { quantityIn } from '../../../../core/units/amount-text';
import { formatNumber } from '../../../../core/units/display';
import { longDate } from '../../../../core/units/day-text';
import { inSystem, unitInSystem, type UnitSystem } from '../../../../core/units/rate-units';
import type { FertigationPlan } from '../../../../core/supply/fertigation/plan-fertigation';
import { below, ledgerLayout } from './ledger-layout';

interface CardHead {
	field: string;
	grower: string;
	/** YYYY-MM-DD. */
	day: string;
	units: UnitSystem;
	preparedBy: string;
	cautions: CautionList;
}

/** In which order everything is shut off: the pump before the water, or stock stands in the lines. */
const SHUT_DOWN = [
	'Jar test of each tank’s products with this water before the first batch.',
	'Check valve, interlock of pump and water, and backflow prevention seen working.',
	'Shut down in this order: injection pump, stock valve, then, after the flush, the water.'
];

/** What the one at the pump needs, on a page: stock by tank, pump rates, times, cautions. Black on white. */
export function tankCard(request: FertigationRequest, plan: FertigationPlan, head: CardHead): TDocumentDefinitions {
	const { field, grower, day, units, preparedBy } = head;
	const stop = plan.cautions.some(({ severity }) => severity === 'stop');
	return {
		pageSize: 'LETTER',
		pageMargins: [44, 44, 44, 52],
		info: { title: `Stock tanks, ${field}`, creationDate: new Date(`${day}T00:00:00Z`) },
		defaultStyle: { font: 'Hyperlegible', fontSize: 10.5, lineHeight: 1.2 },
		styles: { label: { bold: true, fontSize: 9 }, part: { bold: true, fontSize: 12 } },
		content: [
			{
				columns: [
					{ width: '*', text: `Stock tanks, ${field}`, fontSize: 16, bold: true },
					{ width: 'auto', text: longDate(day), bold: true, alignment: 'right' }
				]
			},
			{ text: `${grower}, ${quantityIn(units, request.areaAcres, 'ac')}`, margin: below(2) },
			...(stop
				? [
						{
							text: 'Not to be injected as it stands: see the stops below.',
							bold: true,
							fontSize: 13,
							margin: below(8)
						}
					]
				: []),
			{ text: 'Stock', style: 'part', margin: below(12) },
			stockTable(plan, units),
			{ text: 'Injection', style: 'part', margin: below(12) },
			injectionTable(plan, units),
			...timing(plan),
			{ text: 'Cautions', style: 'part', margin: below(12) },
			{ ul: cautionLines(plan, head) },
			...(preparedBy ? [{ text: `Prepared by ${preparedBy}.`, margin: below(10) }] : [])
		]
	};
}

function text(answer: Answer, units: UnitSystem): string {
	const shown = inSystem(answer, units);
	return shown.applies ? `${formatNumber(shown.value, shown.unit)} ${shown.unit}` : `not known: ${shown.reason}`;
}

function stockTable({ tanks }: FertigationPlan, units: UnitSystem): Content {
	const head = ['Tank', 'Product', unitInSystem('lb', units), `Stock, ${unitInSystem('gal', units)}`];
	const rows = tanks.flatMap(({ name, doses, gallons, fills }): TableCell[][] => [
		...doses.map(({ product, pounds, gallons: own }): TableCell[] => [
			name,
			product.name,
			right(text(pounds, units)),
			right(text(own, units))
		]),
		[
			{ text: `Tank ${name} together`, colSpan: 3, bold: true },
			'',
			'',
			{
				...right(`${text(gallons, units)}${fills.applies && fills.value > 1 ? `, in ${fills.value} fills` : ''}`),
				bold: true
			}
		]
	]);
	return {
		table: { headerRows: 1, widths: [36, '*', 100, 130], body: [labels(head, 2), ...rows] },
		layout: ledgerLayout(3)
	};
}

function injectionTable({ injections }: FertigationPlan, units: UnitSystem): Content {
	const zones = injections.some(({ perZone }) => perZone);
	const rows = injections.map(({ tank, pumpRate, perZone }): TableCell[] => [
		tank,
		...(zones ? [right(perZone ? text(perZone, units) : '')] : []),
		{ ...right(text(pumpRate, units)), bold: true }
	]);
	const head = ['Tank', ...(zones ? ['To each zone'] : []), 'Pump rate'];
	const widths = ['*', ...(zones ? [130] : []), 130];
	return { table: { headerRows: 1, widths, body: [labels(head, 1), ...rows] }, layout: ledgerLayout(3) };
}

function timing({ timing: set }: FertigationPlan): Content[] {
	if (!set) return [{ text: 'The pump runs the whole turn.', margin: below(6) }];
	const hours = (value: number) => formatNumber(value, 'h');
	return [
		{
			text: `Each zone: water on for ${hours(set.end)} h; the pump runs from ${hours(set.from)} h to ${hours(set.to)} h after the start, the rest flushes.`,
			margin: below(6)
		}
	];
}

function cautionLines(plan: FertigationPlan, { cautions }: CardHead): string[] {
	const hazards = new Set(plan.tanks.flatMap(({ doses }) => doses.flatMap(({ product }) => product.hazards)));
	const own = plan.cautions.map(({ severity, text: said }) => `${SEVERITY_WORD[severity]}: ${said}`);
	const ofProducts = [...hazards].flatMap((hazard) =>
		hazard === 'surface-urea' ? [] : (cautions.cautions[hazard] ?? [])
	);
	return [...own, ...SHUT_DOWN, ...ofProducts, cautions.irrigation, cautions.always];
}

function labels(heads: readonly string[], rightFrom: number): TableCell[] {
	return heads.map((said, at) => ({ text: said, style: 'label', alignment: at >= rightFrom ? 'right' : 'left' }));
}

function right(said: string) {
	return { text: said, alignment: 'right' as const };
}
