import type { Analyte } from '../schema-types';

const NAMES: Partial<Record<Analyte, string>> = {
	pH: 'soil pH',
	bufferPh: 'buffer pH',
	P: 'phosphorus',
	K: 'potassium',
	Ca: 'calcium',
	Mg: 'magnesium',
	Na: 'sodium',
	OM: 'organic matter',
	OC: 'organic carbon',
	bulkDensity: 'bulk density',
	'NO3-N': 'nitrate-N',
	'NH4-N': 'ammonium-N',
	'SO4-S': 'sulfate-S',
	Al: 'exchangeable aluminium',
	EC: 'salinity (EC)',
	extractCa: 'calcium of the saturation extract',
	extractSO4: 'sulfate of the saturation extract',
	Zn: 'zinc',
	B: 'boron',
	Mn: 'manganese',
	Cu: 'copper',
	Fe: 'iron',
	satCa: 'calcium, share of CEC',
	satMg: 'magnesium, share of CEC',
	satK: 'potassium, share of CEC',
	satNa: 'sodium, share of CEC',
	satH: 'hydrogen, share of CEC',
	satAl: 'aluminium, share of CEC'
};

/** What an adviser calls the analyte in a sentence. */
export function analyteName(analyte: Analyte): string {
	return NAMES[analyte] ?? analyte;
}

const ELEMENTS: readonly Analyte[] = ['P', 'K', 'Ca', 'Mg', 'Na', 'Zn', 'B', 'Mn', 'Cu', 'Fe'];

/** The same where room is short: an element by its symbol, as on a lab's form. */
export function shortAnalyteName(analyte: Analyte): string {
	return ELEMENTS.includes(analyte) ? analyte : analyteName(analyte);
}
