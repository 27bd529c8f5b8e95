import type { Analyte, ColumnMeaning, LabMapping, LabMethod, ResultUnit } from '../../schema-types';
import { unitsOf } from '../../units/result-units';
import { readBagCode } from '../sampling/bag-code';
import { guessLeafColumn, looksLikeLeaves } from './guess-leaf-column';
import { isMethodOf } from './lab-methods';

const ROLES: readonly [ColumnMeaning['role'], RegExp][] = [
	['sample number', /^(lab|sample)\s*(no|nr|id|number|#)\b|^sample$/i],
	['field', /^(field|block|paddock|parcel)\b|field\s*(name|id)/i],
	['grower', /^(grower|client|customer|farm(er)?)\b/i],
	['date', /\bdate\b|^(sampled|taken)\b/i],
	['top depth', /^(top|from|upper)\b|depth\s*(top|from)/i],
	['bottom depth', /^(bottom|to|lower)\b|depth\s*(bottom|to)/i],
	['depth', /\bdepth\b/i],
	['spot', /\bspot\b|good\s*\/\s*bad/i],
	['acres', /^(acres?|ac|area,?\s*\(?ac(res)?\)?)$/i],
	['hectares', /^(hectares?|ha|area,?\s*\(?ha\)?)$/i],
	['texture', /^(soil\s*)?texture(\s*class)?$/i]
];

/** Earlier lines win: "Buffer pH" is not the soil's pH, "NO3-N" is not N of anything else. */
const ANALYTES: readonly [Analyte, RegExp][] = [
	['bufferPh', /buffer|\bbph\b|\blti\b|lime\s*test/i],
	['pH', /\bph\b/i],
	['extractCa', /extract.*\bca(lcium)?\b|\bca(lcium)?\b.*extract/i],
	['extractSO4', /extract.*(sul(f|ph)ate|so4)|(sul(f|ph)ate|so4).*extract/i],
	['NO3-N', /nitrate|no3/i],
	['NH4-N', /ammonium[\s-]*n\b|nh4[\s-]*n\b/i],
	['SO4-S', /sul(f|ph)ate|so4|\bsul(f|ph)ur\b|^s\b/i],
	['CEC', /\bcec\b|exchange\s*cap/i],
	['OM', /\bom\b|organic\s*matter|loi/i],
	['OC', /\boc\b|organic\s*carbon/i],
	['bulkDensity', /bulk|density/i],
	['carbonate', /carbonate|caco3/i],
	['clay', /\bclay\b/i],
	['EC', /\bec\b|conductivity|salts?\b/i],
	['P', /\bp1?\b|phosph/i],
	['K', /\bk\b|potass/i],
	['Ca', /\bca\b|calcium/i],
	['Mg', /\bmg\b(?!\s*\/)|magnes/i],
	['Na', /\bna\b|sodium/i],
	['Zn', /\bzn\b|zinc/i],
	['Mn', /\bmn\b|mangan/i],
	['Cu', /\bcu\b|copper/i],
	['Fe', /\bfe\b|iron/i],
	['B', /^b\b|boron/i],
	['Al', /\bal\b|alumin/i]
];

const METHODS: readonly [LabMethod, RegExp][] = [
	['smp', /smp/i],
	['sikora', /sikora/i],
	['cacl2', /cacl2|calcium chloride/i],
	['water', /water|1:1|h2o/i],
	['bray-p1', /bray|\bp1\b/i],
	['olsen', /olsen|bicarb/i],
	['colwell', /colwell/i],
	['mehlich-3', /mehlich[\s-]*(3|iii)|\bm3\b/i],
	['mehlich', /mehlich/i],
	['ammonium-acetate', /ammonium[\s-]*acetate|nh4oac|\baa\b|acetate/i],
	['dtpa', /dtpa/i],
	['hot-water', /hot[\s-]*water/i]
];

/** In the header of a column; what a lab means by it has to be asked. */
export const POUNDS_PER_ACRE = /lbs?\s*(\/|per)\s*a/i;

const UNITS: readonly [ResultUnit, RegExp][] = [
	['lb/ac', POUNDS_PER_ACRE],
	['kg/ha', /kg\s*\/\s*ha/i],
	['mg/kg', /mg\s*\/\s*kg/i],
	['ppm', /ppm/i],
	['meq/100g', /meq/i],
	['cmol/kg', /cmol/i],
	['LTI', /\blti\b|lime\s*test/i],
	['dS/m', /ds\s*\/\s*m/i],
	['mmho/cm', /mmho/i],
	['g/cm3', /g\s*\/\s*cm/i],
	['g/kg', /\bg\s*\/\s*kg/i],
	['%', /%|percent/i]
];

const NOT_A_RESULT = /saturation|\bsat\b|base\s*sat|rating|recommend|ratio|\b(ca|mg|k|na|h)\s*%|%\s*(ca|mg|k|na|h)\b/i;

/** What a lab file holds. */
export type LabFileKind = 'soil' | 'leaf';

/**
 * A first reading of a lab file's header line, for the adviser to correct. Columns it does not know are ignored.
 * @param kind soil or leaf tests; guessed from the headers where it is not said
 */
export function guessMapping(
	headers: readonly string[],
	rows: readonly (readonly string[])[],
	kind: LabFileKind = looksLikeLeaves(headers) ? 'leaf' : 'soil'
): LabMapping {
	return {
		columns: markCodes(
			headers.map((header) => guessColumn(header, kind)),
			rows
		),
		dateOrder: guessDateOrder(rows),
		depth: { top: 0, bottom: 8, unit: 'in' },
		...(kind === 'leaf' ? { leaf: { crop: '', part: '', stage: '' } } : {})
	};
}

/** How many columns a line of headers names that a lab's file can have. */
export function knownColumns(headers: readonly string[]): number {
	const kind = looksLikeLeaves(headers) ? 'leaf' : 'soil';
	return headers.filter((header) => isKnownColumn(header, kind)).length;
}

/** Whether a header says by itself what its column holds. */
export function isKnownColumn(header: string, kind: LabFileKind = 'soil'): boolean {
	return header.trim() !== '' && guessColumn(header, kind).role !== 'ignore';
}

/** Whether a cell names a lab's method or a unit, as a second header line does. */
export function namesMethodOrUnit(cell: string): boolean {
	return [...METHODS, ...UNITS].some(([, pattern]) => pattern.test(cell));
}

/** The remembered meanings laid over a new file by header, so that a moved or added column does no harm. */
export function applyMapping(headers: readonly string[], remembered: LabMapping): LabMapping {
	const known = new Map(remembered.columns.map((column) => [column.header, column]));
	const kind = remembered.leaf ? 'leaf' : 'soil';
	return { ...remembered, columns: headers.map((header) => known.get(header) ?? guessColumn(header, kind)) };
}

const ROWS_LOOKED_AT = 50;
const MAY_HOLD_CODES: readonly ColumnMeaning['role'][] = ['ignore', 'sample number', 'field'];

/** The column in which the lab gave back the codes of our labels is the sample number, whatever the lab calls it. */
function markCodes(columns: ColumnMeaning[], rows: readonly (readonly string[])[]): ColumnMeaning[] {
	const holds = (at: number) => rows.slice(0, ROWS_LOOKED_AT).some((row) => readBagCode(row[at] ?? '') !== undefined);
	const codes = columns.findIndex(({ role }, at) => MAY_HOLD_CODES.includes(role) && holds(at));
	if (codes < 0 || columns[codes]!.role === 'field') return columns;
	return columns.map(({ header, ...column }, at) => {
		if (at === codes) return { header, role: 'sample number' };
		return column.role === 'sample number' ? { header, role: 'ignore' } : { header, ...column };
	});
}

function guessColumn(header: string, kind: LabFileKind): ColumnMeaning {
	const plain = header.replaceAll('_', ' ').trim();
	const leaf = kind === 'leaf' ? guessLeafColumn(header, plain) : undefined;
	if (leaf) return leaf;
	const role = ROLES.find(([, pattern]) => pattern.test(plain))?.[0];
	if (role) return { header, role };
	if (kind === 'leaf') return { header, role: 'ignore' };
	if (NOT_A_RESULT.test(plain)) return { header, role: 'ignore' };
	const found = ANALYTES.find(([, pattern]) => pattern.test(plain.replace(/mg\s*\/\s*kg|kg\s*\/\s*ha/gi, '')))?.[0];
	if (!found) return { header, role: 'ignore' };
	const method = METHODS.find(([name, pattern]) => pattern.test(plain) && isMethodOf(found, name))?.[0];
	const named =
		UNITS.find(([name, pattern]) => pattern.test(plain) && unitsOf(found).includes(name))?.[0] ?? onlyUnit(found);
	// Some labs mean the sampled layer by it, others ppm x 2: half or double on a deep sample.
	const unit = named === 'lb/ac' ? undefined : named;
	return { header, role: 'result', analyte: found, ...(method ? { method } : {}), ...(unit ? { unit } : {}) };
}

/** pH and percentages need no unit in the header; for the rest a guess could be wrong by half, so the adviser says it. */
function onlyUnit(analyte: Analyte): ResultUnit | undefined {
	const usual = unitsOf(analyte)[0];
	return usual === 'ppm' ? undefined : usual;
}

function guessDateOrder(rows: readonly (readonly string[])[]): LabMapping['dateOrder'] {
	const cells = rows.slice(0, ROWS_LOOKED_AT).flat();
	if (cells.some((cell) => /^\d{4}-\d{1,2}-\d{1,2}/.test(cell))) return 'year-month-day';
	const parts = cells.map((cell) => /^(\d{1,2})[/.](\d{1,2})[/.]\d{2,4}$/.exec(cell)).filter((match) => match !== null);
	return parts.some((match) => Number(match[1]) > 12) ? 'day-month-year' : 'month-day-year';
}
