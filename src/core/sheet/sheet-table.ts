import type { Pass, SheetContent } from '../schema-types';
import { formatNumber, plainNumber } from '../units/display';
import { unitInSystem, valueInSystem } from '../units/rate-units';

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
		...passes.map(({ pass, productName, nutrients, wholeField, gallonsPerAcre, cautions }) => [
			pass.date,
			pass.label,
			productName,
			plainNumber(valueInSystem(pass.rate, pass.unit, units), unitInSystem(pass.unit, units)),
			unitInSystem(pass.unit, units),
			gallonsPerAcre === undefined ? '' : plainNumber(gallonsPerAcre, 'ac'),
			pass.placement,
			nutrients,
			wholeField === undefined ? '' : wholeFieldText(wholeField, pass.unit),
			pass.reason,
			cautions.join(' ')
		])
	];
}

/** Product for the whole field in the unit it is ordered in: "10,039 lb", "292.64 short tons". */
export function wholeFieldText(amount: number, unit: Pass['unit']): string {
	const shown = unit === 'short ton/ac' ? 'short tons' : 'lb';
	return `${formatNumber(amount, shown)} ${shown}`;
}
