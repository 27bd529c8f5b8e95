import { leafUnit } from '../../units/leaf-units';
import type { ColumnMeaning, LeafElement, ResultUnit } from '../../schema-types';

const ROLES: readonly [ColumnMeaning['role'], RegExp][] = [
	['crop', /\bcrop\b|\bspecies\b/i],
	['part', /\bpart\b|\btissue\b/i],
	['stage', /\bstage\b/i],
	['leaves', /\bleaves\b|number of (plants|leaf)/i]
];

const ELEMENTS: readonly [LeafElement, RegExp][] = [
	['N', /^(total\s+)?n\b|nitrogen/i],
	['P', /^p\b|phosph/i],
	['K', /^k\b|potass/i],
	['Ca', /^ca\b|calcium/i],
	['Mg', /^mg\b|magnes/i],
	['S', /^s\b|sul(f|ph)ur/i],
	['B', /^b\b|boron/i],
	['Zn', /^zn\b|zinc/i],
	['Mn', /^mn\b|mangan/i],
	['Cu', /^cu\b|copper/i],
	['Fe', /^fe\b|iron/i]
];

const UNITS: readonly [ResultUnit, RegExp][] = [
	['mg/kg', /mg\s*\/\s*kg/i],
	['g/kg', /\bg\s*\/\s*kg/i],
	['ppm', /ppm/i],
	['%', /%|percent/i]
];

const NOT_A_RESULT = /ratio|:|rating|sufficien|\b(low|high|norm)\b/i;

/** Whether a header line is that of leaf tests: it names tissue, or nitrogen in percent and no pH. */
export function looksLikeLeaves(headers: readonly string[]): boolean {
	const plain = headers.map((header) => header.replaceAll('_', ' '));
	if (plain.some((header) => /\b(leaf|leaves|tissue|plant part|growth stage)\b/i.test(header))) return true;
	return plain.some((header) => /^(total\s+)?n\b.*%/i.test(header)) && !plain.some((header) => /\bph\b/i.test(header));
}

/** The meaning of a column that only files of leaf tests have; undefined for others. */
export function guessLeafColumn(header: string, plain: string): ColumnMeaning | undefined {
	const role = ROLES.find(([, pattern]) => pattern.test(plain))?.[0];
	if (role) return { header, role };
	if (NOT_A_RESULT.test(plain)) return undefined;
	const element = ELEMENTS.find(([, pattern]) => pattern.test(plain))?.[0];
	if (!element) return undefined;
	const named = UNITS.find(([, pattern]) => pattern.test(plain))?.[0];
	// Labs give leaves in percent and the metals in ppm; a slip shows as a value that cannot be.
	return { header, role: 'result', element, unit: named ?? leafUnit(element) };
}
