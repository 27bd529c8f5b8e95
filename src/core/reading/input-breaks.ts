import type { CompiledRule } from '../packs/pack';
import { possibleGoal, possibleRange } from '../ground/possible-range';
import type { Analyte, Crop } from '../schema-types';
import { NO_ACIDITY, reports } from './soil/cec';
import { FREE_LIME_PH } from './soil/free-lime';
import type { SampledSoil } from './soil/sampled-soil';
import { ORGANIC_PERCENT } from './soil/organic-matter';
import { readsBray } from './soil/soil-test';

/**
 * A value of the soil or the goal at which the reading of a rule turns: on either side of it the rule's inputs follow in
 * straight lines, or there are none. The readers go by the same numbers.
 */
export interface InputBreak {
	of: Analyte | 'yieldGoal';
	/** In the canonical unit, or the crop's yield unit. */
	at: number;
	/** Whether the value itself counts to the side above. */
	from: boolean;
	/** Whether one side of it gets no rate, so that nothing is said where the value is not known. */
	guards: boolean;
}

/** Where the inputs of a rule turn, over the values that may differ within a field. */
export function inputBreaks(
	{ rule, forCrop }: CompiledRule,
	crop: Crop,
	soil: SampledSoil,
	analytes: readonly Analyte[]
): InputBreak[] {
	const own = forCrop(crop.id);
	if (!own) return [];
	const { parameters, needs } = own;
	const breaks: InputBreak[] = [];
	const bounds = (of: InputBreak['of'], range: readonly [number, number] | undefined) => {
		if (!range) return;
		breaks.push({ of, at: range[0], from: true, guards: false }, { of, at: range[1], from: false, guards: false });
	};
	for (const analyte of analytes) bounds(analyte, possibleRange(analyte));
	bounds('yieldGoal', possibleGoal(crop.id));
	if (readsBray(rule)) breaks.push({ of: 'pH', at: FREE_LIME_PH, from: false, guards: true });
	if (rule.gives === 'lime') breaks.push({ of: 'OM', at: ORGANIC_PERCENT, from: false, guards: true });
	if (needs.includes('cec') && !reports(soil, 'CEC')) {
		breaks.push(
			{ of: 'bufferPh', at: NO_ACIDITY.smp, from: true, guards: false },
			{ of: 'bufferPh', at: NO_ACIDITY.mehlich, from: true, guards: false },
			{ of: 'pH', at: NO_ACIDITY.soil, from: true, guards: false }
		);
	}
	const { credits } = parameters as { credits?: { organicMatter?: { mostPercent?: number } } };
	const most = credits?.organicMatter?.mostPercent;
	if (most !== undefined) breaks.push({ of: 'OM', at: most, from: true, guards: false });
	return breaks;
}
