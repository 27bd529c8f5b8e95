import { figure, type Figure } from '../../figure/figure';
import type { NitrogenPass } from '../../schema-types';

/** lb of pure CaCO3 that undo one lb of N as urea, UAN, ammonia or ammonium nitrate: Pierre 1933, memory. */
const CACO3_PER_LB_N = 1.8;

/** lb of pure CaCO3 per acre that undo the acid of nitrogen given as urea, UAN or ammonia. */
export function debtOfNitrogen(nitrogen: Figure): Figure {
	const perPound = figure({
		label: 'CaCO3 for each lb of N as urea or UAN',
		value: CACO3_PER_LB_N,
		unit: 'lb per lb N',
		basis: 'memory',
		citation: 'Pierre 1933'
	});
	return figure({
		label: 'lime to offset acidity of the nitrogen',
		value: nitrogen.value * CACO3_PER_LB_N,
		unit: 'lb/ac',
		formula: 'nitrogen x 1.8',
		inputs: [nitrogen, perPound],
		basis: 'memory',
		citation: 'Pierre 1933',
		cautions: nitrogen.value === 0 ? [] : ['As urea, UAN or ammonia; ammonium sulfate makes three times as much acid.']
	});
}

/** The same by the products of the passes; undefined where one of them is not told. */
export function debtOfProgramme(passes: readonly NitrogenPass[] | undefined): Figure | undefined {
	const told = (passes ?? []).filter(({ caco3 }) => caco3 !== undefined);
	if (told.length === 0 || told.length < passes!.length) return undefined;
	return figure({
		label: 'lime to offset acidity of the passes',
		value: told.reduce((sum, { caco3 }) => sum + caco3!, 0),
		unit: 'lb/ac',
		formula: 'sum of the passes, each by its product',
		inputs: told.map(({ label, caco3 }) =>
			figure({ label: label ?? 'pass', value: caco3!, unit: 'lb/ac', basis: 'memory', citation: 'Pierre 1933' })
		),
		basis: 'memory',
		citation: 'Pierre 1933'
	});
}
