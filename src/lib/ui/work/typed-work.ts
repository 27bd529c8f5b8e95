import type { GoalBy, Work } from '$core/schema-types';
import { GoalByBounds } from '$core/schema-types/bounds';
import { numberWithin } from '$lib/ui/forms/number-within';
import { numberOrUndefined } from '$lib/ui/forms/numbers';

/** What can be done to many fields at once, as it is offered. */
export const WORK_NAMES = {
	crop: 'Set crop and goal',
	'crop list': 'Set crop and goal by a list',
	programme: 'Take a house programme',
	proposal: 'Propose passes for the chosen rates',
	product: 'Swap a product',
	days: 'Move passes',
	rounding: 'Round rates',
	sheets: 'Issue sheets'
} as const;

export type WorkKind = keyof typeof WORK_NAMES;

/** What was typed of a piece of work, for all kinds together: who changes the kind and back finds it again. */
export interface TypedWork {
	kind: WorkKind;
	/** Empty for the rotation of each field. */
	crop: string;
	goalBy: GoalBy['by'];
	harvests: string;
	amount: string;
	otherwise: string;
	list: string;
	/** Empty for the first that fits. */
	programme: string;
	from: string;
	to: string;
	days: string;
	/** Empty for all. */
	product: string;
	lb: string;
	gal: string;
	shortTon: string;
}

export function usualWork(): TypedWork {
	const none = { crop: '', amount: '', otherwise: '', list: '', programme: '', from: '', to: '', product: '' };
	return { ...none, kind: 'crop', goalBy: 'best', harvests: '3', days: '7', lb: '5', gal: '0.5', shortTon: '0.25' };
}

/** The piece of work that was typed, or what is wrong with it, in words. Sheets are no work of this kind: they are issued. */
export function workOf(typed: TypedWork): Work | { problem: string } {
	switch (typed.kind) {
		case 'crop':
			return cropWorkOf(typed);
		case 'crop list':
			return typed.list.trim() === ''
				? { problem: 'Paste a line for each field: name, crop, goal.' }
				: { kind: 'crop list', text: typed.list };
		case 'programme':
			return { kind: 'programme', ...(typed.programme ? { programme: typed.programme } : {}) };
		case 'product':
			if (!typed.from || !typed.to) return { problem: 'Say which product goes and which one takes its place.' };
			return { kind: 'product', from: typed.from, to: typed.to };
		case 'days': {
			const days = numberOrUndefined(typed.days);
			if (days === undefined || !Number.isInteger(days) || days === 0) {
				return { problem: `The days must be a whole number, such as 7 or -3; got “${typed.days}”.` };
			}
			return { kind: 'days', days, ...(typed.product ? { product: typed.product } : {}) };
		}
		case 'rounding': {
			const steps = { lb: typed.lb, gal: typed.gal, shortTon: typed.shortTon };
			const rounding: Record<string, number> = {};
			for (const [unit, text] of Object.entries(steps)) {
				const step = numberOrUndefined(text);
				if (text.trim() !== '' && step === undefined) return { problem: `A step must be a number; got “${text}”.` };
				if (step !== undefined) rounding[unit] = step;
			}
			return { kind: 'rounding', rounding };
		}
		default:
			return { kind: 'proposal' };
	}
}

function cropWorkOf({ crop, goalBy, harvests, amount, otherwise }: TypedWork): Work | { problem: string } {
	const typedGoal = numberOrUndefined(amount);
	const count = numberWithin(harvests, GoalByBounds.harvests, 'The harvests');
	const rest = numberOrUndefined(otherwise);
	if (goalBy === 'amount' && !(typedGoal! > 0)) {
		return { problem: `The goal must be a number above 0, such as 180; got “${amount}”.` };
	}
	if (goalBy === 'mean' && typeof count !== 'number') {
		return { problem: count ?? 'Say of how many harvests the goal is the mean.' };
	}
	if (otherwise.trim() !== '' && !(rest! > 0)) {
		return { problem: `The goal of fields without a harvest must be a number above 0; got “${otherwise}”.` };
	}
	return {
		kind: 'crop',
		...(crop ? { crop } : {}),
		goal: {
			by: goalBy,
			...(goalBy === 'amount' ? { amount: typedGoal! } : {}),
			...(goalBy === 'mean' && typeof count === 'number' ? { harvests: count } : {})
		},
		...(rest === undefined ? {} : { otherwise: rest })
	};
}
