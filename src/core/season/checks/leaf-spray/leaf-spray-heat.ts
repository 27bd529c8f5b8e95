import { warmthText } from '../../../units/weather-units';
import { MONTHS } from '../../../units/day-text';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, warmC } = RULES['leaf-spray-heat'];

/** In a warm month a spray dries on the leaf and burns it unless it goes on early or late in the day. */
export const leafSprayHeatCheck: SeasonCheck = (passes, { station, units }) =>
	passes.flatMap(({ id, date, placement }) => {
		const month = Number(date.slice(5, 7)) - 1;
		const { maxC } = station.months[month]!;
		if (placement !== 'leaf' || maxC < warmC) return [];
		return [
			{
				rule: 'leaf-spray-heat',
				severity: 'note' as const,
				pass: id,
				text: `In ${MONTHS[month]} it usually warms to ${warmthText(maxC, units)}: spray in the evening or at dawn, not in sun and dry air.`,
				basis,
				remedies: []
			}
		];
	});
