import { addDays, format, parseISO } from 'date-fns';
import type { Figure } from '../../figure/figure';
import { formatNumber } from '../../units/display';
import type { Pass, Remedy } from '../../schema-types';
import { passNutrient } from '../pass-nutrients';
import { passCeiling } from '../pass-ceiling';
import { productOf, type PlanContext } from '../plan-context';
import type { SeasonCheck } from './check';

/** Days between the parts of a split: judgement, about the uptake of one pass. */
const DAYS_BETWEEN_PARTS = 14;
/** Sums of decimals may pass a limit by a hair. */
const SLACK_LB = 1e-6;

/** More nitrogen on one day than the ground can hold. */
export const holdingLimitCheck: SeasonCheck = (passes, context) => {
	const nitrogenOf = (pass: Pass) => passNutrient(pass, productOf(pass, context.products), 'N');
	const known = context.holdingRoom.applies ? context.holdingRoom : context.holdingLimit;
	if (!known.applies) {
		if (passes.every((pass) => nitrogenOf(pass) === 0)) return [];
		const text = `No pass is held to a limit, because ${known.reason}. ${known.remedy}`;
		return [{ rule: 'holding-limit', severity: 'mind', text, basis: 'practice', remedies: [] }];
	}
	const days = new Map<string, Pass[]>();
	for (const pass of passes) if (nitrogenOf(pass) > 0) days.set(pass.date, [...(days.get(pass.date) ?? []), pass]);
	return [...days.values()].flatMap((sameDay) => {
		const total = sameDay.reduce((sum, pass) => sum + nitrogenOf(pass), 0);
		const largest = sameDay.reduce((most, pass) => (nitrogenOf(pass) > nitrogenOf(most) ? pass : most));
		const product = productOf(largest, context.products);
		const ceilingOn = (date: string) => (passCeiling(context, date, product) as Figure).value;
		const ceiling = ceilingOn(largest.date);
		if (total <= ceiling + SLACK_LB) return [];
		const own = nitrogenOf(largest);
		const roomOn = (date: string) =>
			ceilingOn(date) -
			passes
				.filter((other) => other.date === date && other !== largest)
				.reduce((sum, other) => sum + nitrogenOf(other), 0);
		return [
			{
				rule: 'holding-limit',
				severity: 'stop',
				pass: largest.id,
				text: `${formatNumber(total, 'lb/ac')} lb N/ac in one go on ${largest.date}; ${heldText(context, ceiling, known.value)}.`,
				basis: 'practice',
				remedies:
					roomOn(largest.date) > 0 ? [splitRemedy(largest, Math.ceil(own / roomOn(largest.date)), roomOn, own)] : []
			}
		];
	});
};

function heldText({ holdingRoom }: PlanContext, ceiling: number, beforeSeason: number): string {
	const pounds = formatNumber(ceiling, 'lb/ac');
	const inSeason = ceiling > beforeSeason ? ', with what the crop takes up' : '';
	return holdingRoom.applies
		? `the ground has room for ${pounds}${inSeason}`
		: `the ground can hold ${pounds}${inSeason}`;
}

/** As many parts as the room asks for, each on the next day, a fortnight on, that has room for it. */
function splitRemedy(pass: Pass, parts: number, room: (date: string) => number, nitrogen: number): Remedy {
	const dates = [pass.date];
	for (let at = 1; dates.length < parts; at++) {
		const date = format(addDays(parseISO(pass.date), at * DAYS_BETWEEN_PARTS), 'yyyy-MM-dd');
		if (room(date) + SLACK_LB >= nitrogen / parts) dates.push(date);
	}
	const last = dates.at(-1)!;
	return {
		label: `Split into ${parts} passes, ${parts > 2 ? 'the last' : 'the second'} on ${last}`,
		passes: dates.map((date, part) => ({
			...pass,
			id: part === 0 ? pass.id : `${pass.id}-${part + 1}`,
			label: part === 0 ? pass.label : `${pass.label}, part ${part + 1}`,
			rate: pass.rate / parts,
			date,
			reason: `${pass.reason} Split by what the ground can hold.`.trim()
		}))
	};
}
