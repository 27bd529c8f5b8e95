import type { Analyte, LabMethod } from '../../schema-types';

const CATION_METHODS: readonly LabMethod[] = ['ammonium-acetate', 'mehlich-3'];
const METAL_METHODS: readonly LabMethod[] = ['dtpa', 'mehlich-3'];

const METHODS: Partial<Record<Analyte, readonly LabMethod[]>> = {
	pH: ['water', 'cacl2'],
	bufferPh: ['smp', 'sikora', 'mehlich'],
	P: ['bray-p1', 'mehlich-3', 'olsen', 'colwell'],
	K: CATION_METHODS,
	Ca: CATION_METHODS,
	Mg: CATION_METHODS,
	Na: CATION_METHODS,
	'SO4-S': ['mehlich-3'],
	Zn: METAL_METHODS,
	Fe: METAL_METHODS,
	Mn: METAL_METHODS,
	Cu: METAL_METHODS,
	B: ['hot-water', 'mehlich-3']
};

/** The methods a lab may name for an analyte; empty where the analyte has only one. */
export function methodsOf(analyte: Analyte): readonly LabMethod[] {
	return METHODS[analyte] ?? [];
}

export function isMethodOf(analyte: Analyte, method: LabMethod): boolean {
	return methodsOf(analyte).includes(method);
}

/**
 * What a report means that does not name its method: common practice of North American labs. There is none for P
 * or buffer pH, where a wrong guess changes the rate.
 */
export function usualMethod(analyte: Analyte): LabMethod | undefined {
	if (analyte === 'pH') return 'water';
	if (methodsOf(analyte) === CATION_METHODS) return 'ammonium-acetate';
	return undefined;
}

const NAMES: Record<LabMethod, string> = {
	water: 'water (1:1)',
	cacl2: 'CaCl2 (0.01 M)',
	smp: 'SMP',
	sikora: 'Sikora',
	mehlich: 'Mehlich',
	'bray-p1': 'Bray P1',
	'mehlich-3': 'Mehlich-3',
	olsen: 'Olsen',
	colwell: 'Colwell',
	'ammonium-acetate': 'ammonium acetate',
	dtpa: 'DTPA',
	'hot-water': 'hot water'
};

export function methodName(method: LabMethod): string {
	return NAMES[method];
}
