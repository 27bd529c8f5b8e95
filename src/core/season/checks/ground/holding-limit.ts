import { amountText } from '../../../units/amount-text';
import { addDays, format, parseISO } from 'date-fns';
import type { Figure } from '../../../figure/figure';
import type { Pass, Remedy } from '../../../schema-types';
import { EARLIER_PASSES, isAutumn, isStabilised, nitrogenRoom, type NitrogenRoom } from '../../plan/pass/pass-ceiling';
import { passNutrient, productFor } from '../../plan/pass/pass-nutrients';
import { LEAST_WORTH_A_PASS, placeNitrogen, type Slot } from '../../propose/place-nitrogen';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { springOf } from '../../plan/spring';
import { usualUptake } from '../../model/growth/uptake';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, daysBetweenParts, mostParts, takenShare, usualUptakeDays } = RULES['holding-limit'];
/** Sums of decimals may pass a limit by a hair. */
const SLACK_LB = 1e-6;

/** More nitrogen at one time than the ground can hold, with what earlier passes left there. */
export const holdingLimitCheck: SeasonCheck = (passes, context) => {
	const nitrogenOf = (pass: Pass) => passNutrient(pass, productOf(pass, context.products), 'N');
	const known = context.holdingRoom.applies ? context.holdingRoom : context.holdingLimit;
	if (!known.applies) {
		if (passes.every((pass) => nitrogenOf(pass) === 0)) return [];
		const text = `No pass is held to a limit, because ${known.reason}. ${known.remedy}`;
		return [{ rule: 'holding-limit', severity: 'mind', text, basis, remedies: [] }];
	}
	const room = nitrogenRoom(context);
	const days = new Map<string, Pass[]>();
	for (const pass of passes) if (nitrogenOf(pass) > 0) days.set(pass.date, [...(days.get(pass.date) ?? []), pass]);
	return [...days.values()].flatMap((sameDay) => {
		const total = sameDay.reduce((sum, pass) => sum + nitrogenOf(pass), 0);
		const largest = sameDay.reduce((most, pass) => (nitrogenOf(pass) > nitrogenOf(most) ? pass : most));
		const stabilised = isStabilised(largest, productOf(largest, context.products));
		const ceiling = room(largest.date, stabilised, passes);
		if (!ceiling.applies || total <= ceiling.value + SLACK_LB) return [];
		return [
			{
				rule: 'holding-limit',
				severity: 'stop',
				pass: largest.id,
				text: `${amountText(context.units).ofArea(total, 'N')} in one go on ${longDate(largest.date)}; ${heldText(context, ceiling, known.value)}.`,
				basis,
				remedies: splitRemedy(largest, passes, room, context)
			}
		];
	});
};

function heldText(context: PlanContext, ceiling: Figure, beforeSeason: number): string {
	const pounds = amountText(context.units).bare(ceiling.value);
	const earlier = ceiling.inputs.find(({ label }) => label === EARLIER_PASSES);
	const left = earlier?.applies
		? `, where ${amountText(context.units)(earlier.value)} of earlier passes still lie`
		: '';
	const inSeason = ceiling.value > beforeSeason ? ', with what the season allows' : '';
	return context.holdingRoom.applies
		? `the soil can take up ${pounds}${left}${inSeason}`
		: `the soil can hold ${pounds}${left}${inSeason}`;
}

/**
 * The pass in as few parts as the room asks for, on its own day and after it; what is too much in autumn waits for spring. None where
 * no day before the end of the crop's uptake has room.
 */
function splitRemedy(pass: Pass, passes: readonly Pass[], room: NitrogenRoom, context: PlanContext): Remedy[] {
	const product = productOf(pass, context.products);
	const pounds = passNutrient(pass, product, 'N');
	const others = passes.filter((other) => other !== pass);
	const slots: Slot[] = laterDays(pass, context).map((date) => ({
		most: Infinity,
		passWith: (part) => ({ ...pass, date, rate: productFor(part, product, 'N'), unit: 'lb/ac' })
	}));
	const filled = placeNitrogen(pounds, slots, others, room, context.products, 'early');
	const used = slots.filter((_, at) => filled[at]! >= LEAST_WORTH_A_PASS);
	const shares = placeNitrogen(pounds, used, others, room, context.products);
	const parts = shares.flatMap((part, at) => (part > 0 ? [{ part, date: used[at]!.passWith(part).date }] : []));
	const short = pounds - parts.reduce((sum, { part }) => sum + part, 0);
	if (parts.length > mostParts || short > SLACK_LB) return [];
	const last = parts.at(-1)?.date;
	if (last === undefined) return [];
	return [
		{
			label: labelOf(pass, parts),
			passes: parts.map(({ part, date }, at) => ({
				...pass,
				id: at === 0 ? pass.id : `${pass.id}-${at + 1}`,
				label: at === 0 ? pass.label : `${pass.label}, part ${at + 1}`,
				rate: (pass.rate * part) / pounds,
				date,
				reason: `${pass.reason} Split by what the soil can hold.`.trim()
			}))
		}
	];
}

function labelOf({ date: own }: Pass, parts: readonly { date: string }[]): string {
	const last = longDate(parts.at(-1)!.date);
	if (parts.length === 1) return `Move it to ${last}`;
	if (isAutumn(own)) return `The rest in spring: ${parts.length} passes, the last on ${last}`;
	return `Split into ${parts.length} passes, ${parts.length > 2 ? 'the last' : 'the second'} on ${last}`;
}

/** The day of a pass, and the days after it on which a part of it may go on, up to the end of the crop's uptake. */
function laterDays({ date }: Pass, context: PlanContext): string[] {
	const end = endOfUptake(context);
	const from = isAutumn(date) ? springOf(context) : shiftDate(date, daysBetweenParts);
	const days = Array.from({ length: 2 * mostParts }, (_, at) =>
		format(addDays(parseISO(from), at * daysBetweenParts), 'yyyy-MM-dd')
	);
	return [date, ...days.filter((day) => day > date && day <= end)];
}

/** The day by which the crop has taken up most of what it wants. */
export function endOfUptake(context: PlanContext): string {
	const { plantingDate, schedule } = context;
	const uptake = usualUptake(context);
	if (!uptake || !schedule?.uptake) return shiftDate(plantingDate, usualUptakeDays);
	const { harvestDays } = schedule.uptake;
	const enough = takenShare * uptake(shiftDate(plantingDate, harvestDays));
	const days = Array.from({ length: harvestDays }, (_, day) => shiftDate(plantingDate, day));
	return days.find((day) => uptake(day) >= enough) ?? shiftDate(plantingDate, harvestDays);
}
