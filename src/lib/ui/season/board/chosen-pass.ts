import { notApplicable, type Answer } from '$core/figure/figure';
import { asTheGroundMeets } from '$core/season/applied/what-happened';
import type { Pass } from '$core/schema-types';
import { passNutrient } from '$core/season/plan/pass/pass-nutrients';
import { isStabilised, nitrogenRoom } from '$core/season/plan/pass/pass-ceiling';
import { productOf, type PlanContext } from '$core/season/plan/plan-context';
import { stageOn, stageText, type StageDate } from '$core/season/stages/stage-dates';
import { secondCropFrom, stagesOfYear } from '$core/season/stages/stages-of-year';
import { inSystem, type UnitSystem } from '$core/units/rate-units';

/** N capacity left on the day of a pass, beside what the other passes leave there; for passes with nitrogen. */
export function roomOf(context: PlanContext, pass: Pass, passes: readonly Pass[], units: UnitSystem): Answer {
	const product = productOf(pass, context.products);
	if (passNutrient(pass, product, 'N') === 0) return notApplicable('room', 'it supplies no nitrogen', '');
	return inSystem(nitrogenRoom(context)(pass.date, isStabilised(pass, product), asTheGroundMeets(passes)), units);
}

/** The crop's stage on a day of the year that is shown, in words; that of a second crop in a usual year. */
export function stageInYear(context: PlanContext, stages: readonly StageDate[], date: string): string {
	const { second } = context;
	if (second && date >= secondCropFrom(second))
		return `about ${stageText(stagesOfYear(context), date)} in a usual year`;
	const { perennial } = context.crop;
	if (!perennial && date < context.plantingDate) return 'before planting';
	const at = stageOn(stages, date)?.name;
	if (!at && perennial) return `before ${stages[0]?.name ?? 'growth'} in the year shown`;
	return `${at ? `about ${at}` : 'after planting'} in the year shown`;
}
