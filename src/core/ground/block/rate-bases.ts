import { becauseOf, figure, type Answer, type Figure } from '../../figure/figure';
import type { Block } from '../../schema-types';
import { plantsPerAcre, rowFeetPerAcre, treatedShare } from './plant-density';

/** One rate on the other bases that people measure orchards by. */
export interface RateBases {
	/** lb for each plant. */
	perPlant: Answer;
	/** lb for each 100 ft of row. */
	per100Row: Answer;
	/** lb for each acre of the treated strip. */
	perTreated: Answer;
}

const ROW_FT = 100;

/**
 * A rate per acre of the block on its three other bases. Geometry.
 * @param rate lb/ac of nutrient or product, over the whole block
 * @returns each does not apply where the rate or the spacing behind it does not
 */
export function basesOf(rate: Answer, block: Block, areaAc: number | undefined): RateBases {
	return {
		perPlant: over(rate, plantsPerAcre(block, areaAc), 'each plant', 'lb/plant', 'rate / plants', (a, b) => a / b),
		per100Row: over(
			rate,
			rowFeetPerAcre(block),
			'the row',
			'lb/100 ft',
			'rate x 100 / length of row',
			(a, b) => (a * ROW_FT) / b
		),
		perTreated: over(
			rate,
			treatedShare(block),
			'the treated strip',
			'lb/treated ac',
			'rate / treated share',
			(a, b) => a / b
		)
	};
}

function over(
	rate: Answer,
	measure: Answer,
	label: string,
	unit: string,
	formula: string,
	reckon: (rate: number, measure: number) => number
): Answer {
	if (!rate.applies) return becauseOf(rate, label);
	if (!measure.applies) return becauseOf(measure, label);
	const value = reckon(rate.value, measure.value);
	return figure({ label, value, unit, formula, inputs: [named(rate), measure], basis: rate.basis });
}

/** The rate under its own name, without the cautions, which stand on it already. */
function named(rate: Figure): Figure {
	return { ...rate, cautions: [] };
}
