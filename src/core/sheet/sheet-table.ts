import type { Answer } from '../figure/figure';
import { placementText } from '../season/plan/placement-text';
import type { SheetContent } from '../schema-types';
import { formatQuantity, plainNumber } from '../units/display';
import { inSystem, type UnitSystem } from '../units/rate-units';

type SheetPass = SheetContent['passes'][number];

const HEADERS = [
	'date',
	'pass',
	'product',
	'rate',
	'unit',
	'gal/ac',
	'placement',
	'nutrients',
	'whole field',
	'why',
	'cautions'
];

/** The passes of a sheet as rows of text, header first: the CSV file. */
export function sheetTable({ passes, units }: SheetContent): string[][] {
	return [
		HEADERS,
		...passes.map(({ pass, productName, rate, carries, wholeField, gallons, cautions }) => {
			const shown = inSystem(rate, units);
			return [
				pass.date,
				pass.label,
				productName,
				shown.applies ? plainNumber(shown.value, shown.unit) : '',
				shown.applies ? shown.unit : '',
				gallons.applies ? plainNumber(gallons.value, gallons.unit) : '',
				placementText(pass, units),
				carriesText(carries, units),
				quantityText(inSystem(wholeField, units)),
				pass.reason,
				cautions.join(' ')
			];
		})
	];
}

/** "N 60, P2O5 20": what a pass carries in lb/ac or kg/ha; empty for lime. */
export function carriesText(carries: SheetPass['carries'], units: UnitSystem): string {
	return carries
		.map(({ nutrient, pounds }) => {
			const shown = inSystem(pounds, units);
			return `${nutrient} ${shown.applies ? plainNumber(shown.value, shown.unit) : ''}`;
		})
		.join(', ');
}

/** A quantity in words, or the reason why there is none: "10,039 lb", "the area is not known". */
export function quantityText(answer: Answer): string {
	return answer.applies ? formatQuantity(answer.value, answer.unit) : answer.reason;
}

/** "West 240 lb/ac on 9.2 ac; East 50 lb/ac on 9.2 ac": a prescription in a line; empty where there is none. */
export function prescriptionText({ prescription, pass }: SheetPass): string {
	if (!prescription) return '';
	return prescription.parts
		.map(
			({ zone, rate, areaAcres }) => `${zone} ${formatQuantity(rate, pass.unit)} on ${formatQuantity(areaAcres, 'ac')}`
		)
		.join('; ');
}
