import type { Pass, PassCheck } from '../../../schema-types';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { type StageDate, stageOn, usualStages } from '../../stages/stage-dates';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, lastFeekes } = RULES['wheat-ammonia'];

/** Ammonia into standing wheat: only early, into moist ground. */
export const wheatAmmoniaCheck: SeasonCheck = (passes, { stages, products, plantingDate, station }) => {
	if (!stages?.stages.some(({ feekes }) => feekes !== undefined)) return [];
	const dates = usualStages({ stages, plantingDate, station });
	return passes.flatMap((pass) => complaint(pass, dates, { products, plantingDate }) ?? []);
};

function complaint(
	pass: Pass,
	dates: readonly StageDate[],
	{ products, plantingDate }: Pick<PlanContext, 'products' | 'plantingDate'>
): PassCheck | undefined {
	if (!productOf(pass, products).hazards.includes('ammonia') || pass.date <= plantingDate) return undefined;
	const base = { rule: 'wheat-ammonia', pass: pass.id, basis };
	const stage = stageOn(dates, pass.date);
	if ((stage?.feekes ?? 0) <= lastFeekes) {
		const text =
			'Ammonia in standing wheat: rolling coulters, moist soil, moderate speed, and never after Feekes 5; expect some damage to the rows.';
		return { ...base, severity: 'note', text, remedies: [] };
	}
	const last = dates.findLast(({ feekes }) => (feekes ?? Infinity) <= lastFeekes);
	const text = `On ${longDate(pass.date)} wheat usually stands at ${stage!.name}: ammonia by coulter only to Feekes ${lastFeekes}; later it cuts off what makes the yield.`;
	return { ...base, severity: 'stop', text, remedies: last ? [movedTo(pass, last.date, last.name)] : [] };
}
