import { analyteName } from '../../ground/analyte-names';
import { whyImpossible } from '../../ground/impossible-value';
import type { ReportCheck } from './finding';

/** Values no soil can have: a slip of the pen or of the column. Such a value is not used. */
export const impossibleValue: ReportCheck = ({ site: { soil } }) =>
	soil.layers.flatMap((layer) =>
		layer.results.flatMap((result) => {
			const why = whyImpossible(result, layer.thicknessIn);
			if (!why) return [];
			return [
				{
					code: 'impossible-value',
					severity: 'stop' as const,
					text: `${analyteName(result.analyte)} ${result.value} in ${layer.depthText} ${why}. It is not used.`,
					remedy: 'Check it against the lab’s paper and correct the sample.'
				}
			];
		})
	);
