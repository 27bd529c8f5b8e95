import { addDays, format, parseISO } from 'date-fns';
import { formatNumber } from '../../units/display';
import type { Pass } from '../../schema-types';
import { passNutrient } from '../pass-nutrients';
import { passCeiling, productOf, type PlanContext } from '../plan-context';
import type { SeasonCheck } from './check';

/** Days between the parts of a split: judgement, about the uptake of one pass. */
const DAYS_BETWEEN_PARTS = 14;
/** Sums of decimals may pass a limit by a hair. */
const SLACK_LB = 1e-6;

/** More nitrogen on one day than the ground can hold. */
export const holdingLimitCheck: SeasonCheck = (passes, context) => {
	const ceiling = passCeiling(context);
	const nitrogenOf = (pass: Pass) => passNutrient(pass, productOf(pass, context.products), 'N');
	if (!ceiling.applies) {
		if (passes.every((pass) => nitrogenOf(pass) === 0)) return [];
		const text = `No pass is held to a limit, because ${ceiling.reason}. ${ceiling.remedy}`;
		return [{ rule: 'holding-limit', severity: 'mind', text, basis: 'practice', remedies: [] }];
	}
	const days = new Map<string, Pass[]>();
	for (const pass of passes) if (nitrogenOf(pass) > 0) days.set(pass.date, [...(days.get(pass.date) ?? []), pass]);
	return [...days.values()].flatMap((sameDay) => {
		const total = sameDay.reduce((sum, pass) => sum + nitrogenOf(pass), 0);
		if (total <= ceiling.value + SLACK_LB) return [];
		const largest = sameDay.reduce((most, pass) => (nitrogenOf(pass) > nitrogenOf(most) ? pass : most));
		const room = ceiling.value - (total - nitrogenOf(largest));
		return [
			{
				rule: 'holding-limit',
				severity: 'stop',
				pass: largest.id,
				text: `${formatNumber(total, 'lb/ac')} lb N/ac in one go on ${largest.date}; ${heldText(context, ceiling.value)}.`,
				basis: 'practice',
				remedies: room > 0 ? [splitRemedy(largest, Math.ceil(nitrogenOf(largest) / room))] : []
			}
		];
	});
};

function heldText({ holdingRoom }: PlanContext, ceiling: number): string {
	const pounds = formatNumber(ceiling, 'lb/ac');
	return holdingRoom.applies ? `the ground has room for ${pounds}` : `the ground can hold ${pounds}`;
}

function splitRemedy(pass: Pass, parts: number) {
	return {
		label: `Split into ${parts} passes, ${DAYS_BETWEEN_PARTS} days apart`,
		passes: Array.from({ length: parts }, (_, part) => ({
			...pass,
			id: part === 0 ? pass.id : `${pass.id}-${part + 1}`,
			label: part === 0 ? pass.label : `${pass.label}, part ${part + 1}`,
			rate: pass.rate / parts,
			date: format(addDays(parseISO(pass.date), part * DAYS_BETWEEN_PARTS), 'yyyy-MM-dd'),
			reason: `${pass.reason} Split by what the ground can hold.`.trim()
		}))
	};
}
