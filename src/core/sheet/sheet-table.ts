import type { SheetContent } from '../schema-types';
import { formatNumber } from '../units/display';
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
			formatNumber(valueInSystem(pass.rate, pass.unit, units), unitInSystem(pass.unit, units)),
			unitInSystem(pass.unit, units),
			gallonsPerAcre === undefined ? '' : formatNumber(gallonsPerAcre, 'ac'),
			pass.placement,
			nutrients,
			wholeField === undefined ? '' : `${formatNumber(wholeField, 'ac')} ${pass.unit === 'lb/ac' ? 'lb' : 'short ton'}`,
			pass.reason,
			cautions.join(' ')
		])
	];
}
