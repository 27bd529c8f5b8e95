import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { Block } from '../../schema-types';
import { FT2_PER_ACRE, FT_PER_M } from '../../units/factors';

/** Sine of the corner of a triangle with three equal sides. */
const SIN_60 = Math.sin(Math.PI / 3);

/**
 * Plants on an acre: counted plants over the area, else by spacing, 43,560 / (row ft x plant ft); in a triangle
 * 43,560 / (spacing^2 x sin 60). Geometry.
 * @param areaAc acres of the block; needed for counted plants only
 * @returns plants/ac; does not apply without a count and its area, or the spacings
 */
export function plantsPerAcre(block: Block, areaAc: number | undefined): Answer {
	const label = 'plants';
	const unit = 'plants/ac';
	const { plantsCounted, layout, plantSpacing } = block;
	if (plantsCounted !== undefined && areaAc !== undefined) {
		const counted = figure({ label: 'plants counted', value: plantsCounted, unit: 'plants', basis: 'measured' });
		const area = figure({ label: 'area', value: areaAc, unit: 'ac', basis: 'adviser' });
		const value = plantsCounted / areaAc;
		return figure({ label, value, unit, formula: 'plants counted / area', inputs: [counted, area], basis: 'measured' });
	}
	if (plantSpacing === undefined) {
		return notApplicable(
			label,
			'the plant spacing is not known',
			'Set the spacings of the block, or count its plants.'
		);
	}
	const between = lengthFigure('between plants', plantSpacing, block);
	if (layout === 'triangle') {
		const value = FT2_PER_ACRE / (between.value ** 2 * SIN_60);
		return figure({
			label,
			value,
			unit,
			formula: '43,560 / (spacing^2 x sin 60)',
			inputs: [between],
			basis: 'practice'
		});
	}
	const rows = rowSpacingFt(block);
	if (!rows.applies) return rows;
	return figure({
		label,
		value: FT2_PER_ACRE / (rows.value * between.value),
		unit,
		formula: '43,560 / (between rows x between plants)',
		inputs: [rows, between],
		basis: 'practice'
	});
}

/**
 * Feet of row on an acre, 43,560 / row spacing. Geometry.
 * @returns ft/ac; does not apply in a triangle, which has no rows, or without a row spacing
 */
export function rowFeetPerAcre(block: Block): Answer {
	const label = 'length of row';
	if (block.layout === 'triangle') {
		return notApplicable(label, 'plants in a triangle stand in no rows', 'Go by the plant or by the area.');
	}
	const rows = rowSpacingFt(block);
	if (!rows.applies) return rows;
	const value = FT2_PER_ACRE / rows.value;
	return figure({ label, value, unit: 'ft/ac', formula: '43,560 / between rows', inputs: [rows], basis: 'practice' });
}

/**
 * Share of the ground that the fed or wetted strip covers: strip / row spacing, 0 to 1.
 * @returns does not apply without both, or where the strip is wider than the rows are apart
 */
export function treatedShare(block: Block): Answer {
	const label = 'treated share of the ground';
	if (block.treatedWidth === undefined) {
		return notApplicable(label, 'the width of the treated strip is not known', 'Set the treated strip of the block.');
	}
	const rows = rowSpacingFt(block);
	if (!rows.applies) return rows;
	const strip = lengthFigure('treated strip', block.treatedWidth, block);
	if (strip.value > rows.value) {
		const reason = `the treated strip (${block.treatedWidth}) is wider than the rows are apart (${block.rowSpacing})`;
		return notApplicable(label, reason, 'Set a strip that fits between the rows.');
	}
	const value = strip.value / rows.value;
	return figure({ label, value, unit: '', formula: 'strip / between rows', inputs: [strip, rows], basis: 'practice' });
}

export function rowSpacingFt(block: Block): Answer {
	if (block.rowSpacing === undefined) {
		return notApplicable('between rows', 'the row spacing is not known', 'Set the row spacing of the block.');
	}
	return lengthFigure('between rows', block.rowSpacing, block);
}

/** A length in feet; the metres it was given in stand under it. */
function lengthFigure(label: string, value: number, { lengthUnit = 'ft' }: Block): Figure {
	const given = figure({ label, value, unit: lengthUnit, basis: 'measured' });
	if (lengthUnit === 'ft') return given;
	return figure({
		label,
		value: value * FT_PER_M,
		unit: 'ft',
		formula: 'm / 0.3048',
		inputs: [given],
		basis: 'measured'
	});
}
