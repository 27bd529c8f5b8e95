import { movedText } from '../../../../core/rates/choose';
import { quantityIn } from '../../../../core/units/amount-text';
import { inSystem, type UnitSystem, yieldUnitOf } from '../../../../core/units/rate-units';
import { schoolName } from '../../../school-names';
import type { Library } from '../../knowledge';
import { secondCropOf } from '../../stores/plan/after-the-harvest';
import type { Crop } from '../../../../core/schema-types';
import type { FieldYearRow } from '../../stores/field-years';
import type { Advice } from '../field-year';
import { ownNitrogen } from './own-nitrogen';

const NONE = {
	planted: undefined,
	name: '',
	after: '',
	both: undefined,
	own: undefined,
	rates: [],
	lacking: [],
	nitrogen: undefined,
	moved: undefined,
	lapsed: false
};

/** The second crop of a year with its name and unit; undefined where there is none, or it is not known any more. */
export function namedSecond(goal: Pick<FieldYearRow, 'second_crop'>, crops: readonly Crop[]) {
	const second = secondOf(goal, crops);
	return second && { planted: second.planted, name: second.crop.name, unit: yieldUnitOf(second.crop) };
}

function secondOf(goal: Pick<FieldYearRow, 'second_crop'>, crops: readonly Crop[]) {
	const planted = secondCropOf(goal);
	const crop = crops.find(({ id }) => id === planted?.id);
	return planted && crop && { planted, crop };
}

/** The second crop of a year with its rates by each approach, as a page shows them; what an approach lacks stands in a sentence. */
export function secondCropView({ crops }: Library, advice: Advice | undefined, units: UnitSystem) {
	const second = advice && secondOf(advice.goal, crops);
	if (!second) return { ...NONE, summary: 'Second crop after the harvest: none' };
	const { planted, crop } = second;
	const name = crop.name.toLowerCase();
	const rates = (advice.answer.secondRates ?? []).map((rate) => ({ ...rate, schoolName: schoolName(rate.school) }));
	return {
		summary: `Second crop after the harvest: ${name}, ${quantityIn(units, planted.yieldGoal, yieldUnitOf(crop))}`,
		planted,
		name,
		after: advice.crop.name.toLowerCase(),
		both: `${advice.crop.name} and ${name}`,
		nitrogen: advice.secondNitrogen && { ...advice.secondNitrogen, rate: inSystem(advice.secondNitrogen.rate, units) },
		moved: advice.secondNitrogen && movedText(advice.secondNitrogen, units),
		/** A method was settled on that gives nothing any more. */
		lapsed: planted.nitrogen !== undefined && advice.secondNitrogen === undefined,
		own: rates.some(({ nutrient }) => nutrient === 'N') ? undefined : noNitrogen(crop),
		rates: rates.flatMap(({ nutrient, method, title, packTitle, schoolName: school, worksheet }) =>
			worksheet.applies
				? [{ nutrient, method, school, title: `${packTitle}: ${title}`, answer: inSystem(worksheet, units) }]
				: []
		),
		lacking: rates.flatMap(({ nutrient, schoolName: school, packTitle, worksheet }) =>
			worksheet.applies ? [] : [`${nutrient} by ${school}, ${packTitle}: ${worksheet.reason}`]
		)
	};
}

/** Why no guide gives nitrogen for a crop. */
function noNitrogen({ name, nitrogenContent }: Crop): string {
	return nitrogenContent?.fixes ? ownNitrogen(name) : `No guide gives nitrogen for ${name.toLowerCase()}.`;
}
