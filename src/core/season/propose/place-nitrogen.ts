import type { Pass, Product } from '../../schema-types';
import { isStabilised, type NitrogenRoom } from '../plan/pass/pass-ceiling';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { productOf } from '../plan/plan-context';

/** A day on which a part of some nitrogen may go on. */
export interface Slot {
	/** No more than this whatever the room, lb N/ac. */
	most: number;
	/** The pass that would carry so many pounds. */
	passWith: (pounds: number) => Pass;
}

/** Less than this is not worth a trip, lb/ac of nutrient: common practice. */
export const LEAST_WORTH_A_PASS = 1;

/**
 * Puts nitrogen on the slots as evenly as the room of each day allows: what is put on early is still there later until the crop has
 * taken it, and other passes keep the room they need.
 * @param pounds lb N/ac
 * @param slots in order of date
 * @param others passes that stay as they are
 * @param how evenly, where that finds as much room, or as early as there is room
 * @returns lb N/ac by slot; they add up to less than the pounds where all the room together is too little
 */
export function placeNitrogen(
	pounds: number,
	slots: readonly Slot[],
	others: readonly Pass[],
	room: NitrogenRoom,
	products: readonly Product[],
	how: 'evenly' | 'early' = 'evenly'
): number[] {
	const fill = (share: (left: number, free: readonly number[]) => number) => {
		const placed: Pass[] = [];
		let left = pounds;
		return slots.map((slot, at) => {
			const free = slots.slice(at).map((one) => freeIn(one, [...others, ...placed], room, products));
			const amount = Math.max(0, Math.min(left, free[0]!, share(left, free)));
			if (amount > 0) placed.push(slot.passWith(amount));
			left -= amount;
			return amount;
		});
	};
	const most = fill((left) => left);
	if (how === 'early') return most;
	const even = fill((left, free) => evenly(left, free)[0]!);
	const sum = (shares: readonly number[]) => shares.reduce((all, one) => all + one, 0);
	return sum(even) + SLACK_LB >= sum(most) ? even : most;
}

const SLACK_LB = 1e-6;

/** What a slot can still take without anything else on its day or later finding too little room, lb N/ac. */
function freeIn(
	{ most, passWith }: Slot,
	passes: readonly Pass[],
	room: NitrogenRoom,
	products: readonly Product[]
): number {
	const own = passWith(LEAST_WORTH_A_PASS);
	const nitrogen = (pass: Pass) => passNutrient(pass, productOf(pass, products), 'N');
	const onDay = (date: string) =>
		passes.filter((pass) => pass.date === date).reduce((all, pass) => all + nitrogen(pass), 0);
	const slack = (pass: Pass) => {
		const answer = room(pass.date, isStabilised(pass, productOf(pass, products)), passes);
		return answer.applies ? answer.value - onDay(pass.date) : Infinity;
	};
	const later = passes.filter((pass) => pass.date > own.date && nitrogen(pass) > 0);
	return Math.max(0, Math.min(most, slack(own), ...later.map(slack)));
}

/** An amount over all the caps as evenly as they allow; less than the amount in sum where all the caps together are. */
export function evenly(amount: number, caps: readonly number[]): number[] {
	const shares = caps.map(() => 0);
	let left = amount;
	const order = [...caps.keys()].sort((a, b) => caps[a]! - caps[b]!);
	order.forEach((index, filled) => {
		shares[index] = Math.min(caps[index]!, left / (order.length - filled));
		left -= shares[index];
	});
	return shares;
}
