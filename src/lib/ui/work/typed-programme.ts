import type { HouseProgramme, Placement, ProgrammeGround, RateNutrient, TextureClass } from '$core/schema-types';
import { numberOrUndefined } from '$lib/ui/forms/numbers';

/** Bounds of the ground, with what a reader calls them. */
export const BOUNDS = [
	['cecFrom', 'CEC from, meq/100 g'],
	['cecBelow', 'CEC below'],
	['phFrom', 'Soil pH from'],
	['phBelow', 'Soil pH below'],
	['slopeFrom', 'Slope from, %'],
	['slopeBelow', 'Slope below, %']
] as const;

type Bound = (typeof BOUNDS)[number][0];

/** A house programme as it stands in its form. */
export interface TypedProgramme {
	name: string;
	crops: string[];
	bounds: Record<Bound, string>;
	textures: TextureClass[];
	/** For each nutrient the method of first and of second choice; empty for none. */
	rates: { nutrient: RateNutrient; first: string; second: string; bothYears: boolean }[];
	rounding: Record<'lb' | 'gal' | 'shortTon', string>;
	products: { instead: string; take: string }[];
	nitrogen: { label: string; product: string; placement: string; days: string; share: string }[];
	note: string;
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value));

/** A programme as it is edited; a new one where none is given. */
export function typedProgramme(nutrients: readonly RateNutrient[], programme?: HouseProgramme): TypedProgramme {
	const { ground = {}, rates = [], rounding = { lb: 5, gal: 0.5, shortTon: 0.25 } } = programme ?? {};
	return {
		name: programme?.name ?? '',
		crops: [...(programme?.crops ?? [])],
		bounds: Object.fromEntries(BOUNDS.map(([bound]) => [bound, text(ground[bound])])) as Record<Bound, string>,
		textures: [...(ground.textures ?? [])],
		rates: nutrients.map((nutrient) => {
			const { methods = [], bothYears = false } = rates.find((rate) => rate.nutrient === nutrient) ?? {};
			return { nutrient, first: methods[0] ?? '', second: methods[1] ?? '', bothYears };
		}),
		rounding: { lb: text(rounding.lb), gal: text(rounding.gal), shortTon: text(rounding.shortTon) },
		products: (programme?.products ?? []).map((swap) => ({ ...swap })),
		nitrogen: (programme?.nitrogen ?? []).map(({ label, product, placement, daysFromPlanting, sharePercent }) => ({
			label,
			product,
			placement,
			days: String(daysFromPlanting),
			share: String(sharePercent)
		})),
		note: programme?.note ?? ''
	};
}

/** Shares add up to all of the nitrogen, but for what rounding leaves. */
const SHARES_WITHIN = 0.5;

/** The programme that was typed, or what is wrong with it, in words. */
export function programmeOf(typed: TypedProgramme): HouseProgramme | { problem: string } {
	if (typed.name.trim() === '')
		return { problem: 'Give the programme a name: it stands on each field that follows it.' };
	if (typed.crops.length === 0) return { problem: 'Say for which crops it is.' };
	const rates = typed.rates.filter(({ first }) => first !== '');
	if (rates.length === 0) return { problem: 'Choose an approach for at least one nutrient.' };
	const wrong = [...Object.values(typed.bounds), ...Object.values(typed.rounding)].find(
		(value) => value.trim() !== '' && numberOrUndefined(value) === undefined
	);
	if (wrong !== undefined) return { problem: `Ground and rounding are told in numbers; got “${wrong}”.` };
	const open = typed.products.find(({ instead, take }) => !instead || !take);
	if (open) return { problem: 'Say of each product which one goes and which one takes its place.' };
	const nitrogen = typed.nitrogen.map(({ label, product, placement, days, share }) => ({
		label: label.trim(),
		product,
		placement: placement as Placement,
		daysFromPlanting: numberOrUndefined(days) ?? NaN,
		sharePercent: numberOrUndefined(share) ?? NaN
	}));
	const incomplete = nitrogen.find(
		(pass) => !pass.label || !pass.product || !Number.isInteger(pass.daysFromPlanting) || !(pass.sharePercent > 0)
	);
	if (incomplete) {
		return { problem: 'A pass of nitrogen needs a name, a product, whole days from planting and a share above 0 %.' };
	}
	const shares = nitrogen.reduce((sum, { sharePercent }) => sum + sharePercent, 0);
	if (nitrogen.length > 0 && Math.abs(shares - 100) > SHARES_WITHIN) {
		return { problem: `The shares of the nitrogen passes must add up to 100 %; they come to ${shares} %.` };
	}
	return {
		name: typed.name.trim(),
		crops: typed.crops as HouseProgramme['crops'],
		ground: {
			...numbers(typed.bounds),
			...(typed.textures.length > 0 ? { textures: typed.textures } : {})
		} as ProgrammeGround,
		rates: rates.map(({ nutrient, first, second, bothYears }) => ({
			nutrient,
			methods: [first, second].filter((method, at, all) => method !== '' && all.indexOf(method) === at),
			...(bothYears ? { bothYears } : {})
		})) as HouseProgramme['rates'],
		rounding: numbers(typed.rounding),
		products: typed.products,
		...(nitrogen.length > 0 ? { nitrogen: nitrogen as HouseProgramme['nitrogen'] } : {}),
		...(typed.note.trim() ? { note: typed.note.trim() } : {})
	};
}

/** Those that were typed. */
function numbers(typed: Record<string, string>): Record<string, number> {
	return Object.fromEntries(
		Object.entries(typed).flatMap(([key, value]) => {
			const number = numberOrUndefined(value);
			return number === undefined ? [] : [[key, number]];
		})
	);
}
