import type { GoalBy, Work } from '$core/schema-types';
import { CropWorkBounds, DaysWorkBounds, GoalByBounds, RoundingBounds } from '$core/schema-types/bounds';
import type { UnitSystem } from '$core/units/rate-units';
import { typedNumbers, type NumberFacts } from '$lib/ui/forms/number-within';
import { keptNumber, keptNumbers } from '$lib/ui/forms/typed-amount';

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
	rounding: TypedRounding;
}

/** Steps of rates as they are typed; empty where nothing is rounded. */
export type TypedRounding = Record<keyof typeof RoundingBounds, string>;
export const USUAL_ROUNDING: Record<UnitSystem, TypedRounding> = {
	us: { lb: '5', gal: '0.5', shortTon: '0.25' },
	metric: { lb: '5', gal: '5', shortTon: '0.5' }
};

export function usualWork(units: UnitSystem): TypedWork {
	const none = { crop: '', amount: '', otherwise: '', list: '', programme: '', from: '', to: '', product: '' };
	return { ...none, kind: 'crop', goalBy: 'best', harvests: '3', days: '7', rounding: { ...USUAL_ROUNDING[units] } };
}

/**
 * The piece of work that was typed, or what is wrong with it, in words. Sheets are no work of this kind: they are issued.
 * @param yieldUnit of the crop that is set; undefined where each field keeps its own
 */
export function workOf(typed: TypedWork, units: UnitSystem, yieldUnit?: string): Work | { problem: string } {
	switch (typed.kind) {
		case 'crop':
			return cropWorkOf(typed, units, yieldUnit);
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
			const moved = typedNumbers({ days: typed.days }, DaysWorkBounds, ['days']);
			if (typeof moved === 'string') return { problem: moved };
			if (moved.days === 0) return { problem: 'Moved by 0 days, passes stay where they are.' };
			return { kind: 'days', ...moved, ...(typed.product ? { product: typed.product } : {}) };
		}
		case 'rounding': {
			const rounding = keptNumbers(typed.rounding, {}, RoundingBounds, units);
			return typeof rounding === 'string' ? { problem: rounding } : { kind: 'rounding', rounding };
		}
		default:
			return { kind: 'proposal' };
	}
}

function cropWorkOf(
	{ crop, goalBy, harvests, amount, otherwise }: TypedWork,
	units: UnitSystem,
	yieldUnit = ''
): Work | { problem: string } {
	if (goalBy === 'amount' && units === 'metric' && crop === '') {
		return { problem: 'Choose the crop: a goal in t/ha is kept in the unit of one crop.' };
	}
	const counted = typedNumbers(
		{ harvests: goalBy === 'mean' ? harvests : '' },
		GoalByBounds,
		goalBy === 'mean' ? ['harvests'] : []
	);
	if (typeof counted === 'string') return { problem: counted };
	const yielded = (text: string, facts: NumberFacts) => keptNumber(text, undefined, facts, yieldUnit, units);
	const same = goalBy === 'amount' ? yielded(amount, GoalByBounds.amount) : undefined;
	if (typeof same === 'string') return { problem: same };
	if (goalBy === 'amount' && same === undefined) return { problem: `${GoalByBounds.amount.label} is not filled in.` };
	const rest = goalBy === 'amount' || crop === '' ? undefined : yielded(otherwise, CropWorkBounds.otherwise);
	if (typeof rest === 'string') return { problem: rest };
	return {
		kind: 'crop',
		...(crop ? { crop } : {}),
		goal: { by: goalBy, ...counted, ...(same === undefined ? {} : { amount: same }) },
		...(rest === undefined ? {} : { otherwise: rest })
	};
}
