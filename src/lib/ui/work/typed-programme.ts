import type { HouseProgramme, Placement, RateNutrient, TextureClass } from '$core/schema-types';
import { keysOf } from '$core/check/typed-object';
import { ProgrammeGroundBounds, ProgrammePassBounds, RoundingBounds } from '$core/schema-types/bounds';
import type { UnitSystem } from '$core/units/rate-units';
import { typedNumbers } from '$lib/ui/forms/number-within';
import { keptNumbers, typedAmounts } from '$lib/ui/forms/typed-amount';
import { USUAL_ROUNDING, type TypedRounding } from './typed-work';

type Bound = keyof typeof ProgrammeGroundBounds;

/** A house programme as it stands in its form. */
export interface TypedProgramme {
	name: string;
	crops: string[];
	bounds: Record<Bound, string>;
	textures: TextureClass[];
	/** For each nutrient the method of first and of second choice; empty for none. */
	rates: { nutrient: RateNutrient; first: string; second: string; bothYears: boolean }[];
	rounding: TypedRounding;
	products: { instead: string; take: string }[];
	nitrogen: {
		label: string;
		product: string;
		placement: string;
		numbers: Record<keyof typeof ProgrammePassBounds, string>;
	}[];
	note: string;
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value));

/** A programme as it is edited; a new one where none is given. */
export function typedProgramme(
	nutrients: readonly RateNutrient[],
	units: UnitSystem,
	programme?: HouseProgramme
): TypedProgramme {
	const { ground = {}, rates = [], rounding } = programme ?? {};
	return {
		name: programme?.name ?? '',
		crops: [...(programme?.crops ?? [])],
		bounds: Object.fromEntries(keysOf(ProgrammeGroundBounds).map((bound) => [bound, text(ground[bound])])) as Record<
			Bound,
			string
		>,
		textures: [...(ground.textures ?? [])],
		rates: nutrients.map((nutrient) => {
			const { methods = [], bothYears = false } = rates.find((rate) => rate.nutrient === nutrient) ?? {};
			return { nutrient, first: methods[0] ?? '', second: methods[1] ?? '', bothYears };
		}),
		rounding: rounding ? typedAmounts(rounding, RoundingBounds, units) : { ...USUAL_ROUNDING[units] },
		products: (programme?.products ?? []).map((swap) => ({ ...swap })),
		nitrogen: (programme?.nitrogen ?? []).map(({ label, product, placement, daysFromPlanting, sharePercent }) => ({
			label,
			product,
			placement,
			numbers: { daysFromPlanting: String(daysFromPlanting), sharePercent: String(sharePercent) }
		})),
		note: programme?.note ?? ''
	};
}

/** Shares add up to all of the nitrogen, but for what rounding leaves. */
const SHARES_WITHIN = 0.5;

/**
 * The programme that was typed, or what is wrong with it, in words.
 * @param kept steps of its rounding before, which stay to the last digit where nobody changed them
 */
export function programmeOf(
	typed: TypedProgramme,
	units: UnitSystem,
	kept: HouseProgramme['rounding'] = {}
): HouseProgramme | { problem: string } {
	if (typed.name.trim() === '')
		return { problem: 'Give the programme a name: it stands on each field that follows it.' };
	if (typed.crops.length === 0) return { problem: 'Say for which crops it is.' };
	const rates = typed.rates.filter(({ first }) => first !== '');
	if (rates.length === 0) return { problem: 'Choose an approach for at least one nutrient.' };
	const ground = typedNumbers(typed.bounds, ProgrammeGroundBounds, []);
	if (typeof ground === 'string') return { problem: ground };
	const rounding = keptNumbers(typed.rounding, kept, RoundingBounds, units);
	if (typeof rounding === 'string') return { problem: rounding };
	const open = typed.products.find(({ instead, take }) => !instead || !take);
	if (open) return { problem: 'Say of each product which one goes and which one takes its place.' };
	const nitrogen: NonNullable<HouseProgramme['nitrogen']> = [];
	for (const { label, product, placement, numbers } of typed.nitrogen) {
		if (!label.trim()) return { problem: 'Give each pass of nitrogen a name: it stands in the plan.' };
		const read = typedNumbers(numbers, ProgrammePassBounds, ['daysFromPlanting', 'sharePercent']);
		if (typeof read === 'string') return { problem: `${label.trim()}: ${read}` };
		nitrogen.push({ label: label.trim(), product, placement: placement as Placement, ...read });
	}
	const shares = nitrogen.reduce((sum, { sharePercent }) => sum + sharePercent, 0);
	if (nitrogen.length > 0 && Math.abs(shares - 100) > SHARES_WITHIN) {
		return { problem: `The shares of the nitrogen passes must add up to 100 %; they come to ${shares} %.` };
	}
	return {
		name: typed.name.trim(),
		crops: typed.crops as HouseProgramme['crops'],
		ground: {
			...ground,
			...(typed.textures.length > 0 ? { textures: typed.textures } : {})
		},
		rates: rates.map(({ nutrient, first, second, bothYears }) => ({
			nutrient,
			methods: [first, second].filter((method, at, all) => method !== '' && all.indexOf(method) === at),
			...(bothYears ? { bothYears } : {})
		})) as HouseProgramme['rates'],
		rounding,
		products: typed.products,
		...(nitrogen.length > 0 ? { nitrogen } : {}),
		...(typed.note.trim() ? { note: typed.note.trim() } : {})
	};
}
