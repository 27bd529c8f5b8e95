import { conversionOf } from '../../units/result-units';
import { analyteName } from '../../ground/analyte-names';
import { possibleRange } from '../../ground/possible-range';
import type { ReportCheck } from './finding';

/** Values no soil can have: a slip of the pen or of the column. Such a value is not used. */
export const impossibleValue: ReportCheck = ({ site: { soil } }) =>
	soil.layers.flatMap((layer) =>
		layer.results.flatMap(({ analyte, value, unit }) => {
			const range = possibleRange(analyte);
			const read = value * (conversionOf(analyte, unit, layer.thicknessIn)?.factor ?? NaN);
			if (!range || (read >= range[0] && read <= range[1])) return [];
			return [
				{
					code: 'impossible-value',
					severity: 'stop' as const,
					text: `${analyteName(analyte)} ${value} in ${layer.depthText} cannot be true; soil lies between ${range[0]} and ${range[1]}. It is not used.`,
					remedy: 'Check it against the lab’s paper and correct the sample.'
				}
			];
		})
	);
