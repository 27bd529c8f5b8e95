import { LEAF_UNITS } from '../../units/leaf-units';
import type { Analyte, ColumnMeaning, LabMapping } from '../../schema-types';
import { conversionOf } from '../../units/result-units';
import { analyteName } from '../analyte-names';
import { COLUMN_ROLES } from './column-roles';
import { POUNDS_PER_ACRE } from './guess-mapping';
import { isMethodOf } from './lab-methods';

/** Faults of the mapping itself, before any row is read. */
export function mappingProblems({ columns, depth, leaf }: LabMapping): string[] {
	const problems: string[] = [];
	const count = (role: ColumnMeaning['role']) => columns.filter((column) => column.role === role).length;
	// Codes of bags, as the sample number, say by themselves which field a row is of.
	if (count('field') === 0 && (leaf || count('sample number') === 0))
		problems.push('No column is marked as the field name.');
	for (const role of COLUMN_ROLES[leaf ? 'leaf' : 'soil']) {
		if (role !== 'ignore' && count(role) > 1) problems.push(`Two columns are marked as ${role}.`);
	}
	if (count('result') === 0) problems.push('No column is marked as a result.');
	if (count('top depth') !== count('bottom depth')) problems.push('Top and bottom depth need a column each.');
	if (depth.bottom <= depth.top) problems.push('The bottom of the sampled depth must lie below its top.');
	return [...problems, ...(leaf ? leafColumnProblems(columns) : soilColumnProblems(columns))];
}

function soilColumnProblems(columns: readonly ColumnMeaning[]): string[] {
	const problems: string[] = [];
	const seen = new Set<string>();
	for (const { header, role, analyte, method, unit } of columns) {
		if (role !== 'result') continue;
		if (!analyte) problems.push(`“${header}” is marked as a result, but not of what.`);
		else if (unit === undefined) problems.push(unitWanted(header, analyte));
		else if (!conversionOf(analyte, unit, 1)) {
			problems.push(`“${header}”: ${analyteName(analyte)} is not measured in “${unit}”.`);
		} else if (method && !isMethodOf(analyte, method)) {
			problems.push(`“${header}”: ${method} is no method for ${analyteName(analyte)}.`);
		} else if (seen.has(`${analyte} ${method ?? ''}`)) {
			problems.push(`Two columns are marked as ${analyteName(analyte)}${method ? ` by ${method}` : ''}.`);
		}
		seen.add(`${analyte ?? header} ${method ?? ''}`);
	}
	return problems;
}

function unitWanted(header: string, analyte: Analyte): string {
	const which = POUNDS_PER_ACRE.test(header)
		? '. Ask the lab whether its lb/ac are those of the sampled layer or ppm x 2'
		: '';
	return `“${header}”: say the unit of ${analyteName(analyte)}${which}.`;
}

function leafColumnProblems(columns: readonly ColumnMeaning[]): string[] {
	const problems: string[] = [];
	const seen = new Set<string>();
	for (const { header, role, element, unit } of columns) {
		if (role !== 'result') continue;
		if (!element) problems.push(`“${header}” is marked as a result, but not of what.`);
		else if (unit === undefined) problems.push(`“${header}”: say the unit of ${element}.`);
		else if (!LEAF_UNITS.includes(unit)) problems.push(`“${header}”: ${element} of leaves is not given in “${unit}”.`);
		else if (seen.has(element)) problems.push(`Two columns are marked as ${element}.`);
		seen.add(element ?? header);
	}
	return problems;
}
