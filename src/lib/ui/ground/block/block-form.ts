import type { Block, BlockWater, OrchardFloor } from '$core/schema-types';
import { BlockBounds } from '$core/schema-types/bounds';
import { keysOf } from '$core/check/typed-object';
import { typedNumbers } from '../../forms/number-within';

export const FLOORS: readonly OrchardFloor[] = ['bare strip', 'sod', 'landscape fabric', 'mulch', 'legume cover'];
export const WATERS: readonly BlockWater[] = ['none', 'drip', 'micro-sprinkler', 'pivot', 'sprinkler'];

type BlockNumber = keyof typeof BlockBounds;
/** What a planting in triangles has not. */
const OF_ROWS: readonly BlockNumber[] = ['rowSpacing', 'treatedWidth', 'rowBearingDeg'];

/** A block as it is typed. */
export interface BlockForm {
	numbers: Record<BlockNumber, string>;
	lengthUnit: 'ft' | 'm';
	layout: 'rows' | 'triangle';
	floor: string;
	water: string;
	variety: string;
	season: string;
	bears: string;
	rootstock: string;
	organic: boolean;
}

/** What stands, as it is typed; an empty form where nothing does. */
export function blockFormOf(block: Block | undefined): BlockForm {
	const text = (name: BlockNumber): string => String(block?.[name] ?? '');
	return {
		numbers: {
			plantedYear: text('plantedYear'),
			rowSpacing: text('rowSpacing'),
			plantSpacing: text('plantSpacing'),
			plantsCounted: text('plantsCounted'),
			treatedWidth: text('treatedWidth'),
			rowBearingDeg: text('rowBearingDeg')
		},
		lengthUnit: block?.lengthUnit ?? 'ft',
		layout: block?.layout ?? 'rows',
		floor: block?.floor ?? '',
		water: block?.water ?? '',
		variety: block?.variety ?? '',
		season: block?.season ?? '',
		bears: block?.bears ?? '',
		rootstock: block?.rootstock ?? '',
		organic: block?.organic ?? false
	};
}

/** The numbers that are asked of a planting but for its year, in their order. */
export function numbersAsked(layout: BlockForm['layout']): BlockNumber[] {
	const all = keysOf(BlockBounds).filter((name) => name !== 'plantedYear');
	return layout === 'rows' ? all : all.filter((name) => !OF_ROWS.includes(name));
}

/**
 * The block that was typed, or what is wrong with it.
 * @param was the block that the form started from; what no form asks of it stays
 */
export function blockOfForm(form: BlockForm, was: Block | null): Block | string {
	const typed = { ...form.numbers };
	if (form.layout === 'triangle') for (const name of OF_ROWS) typed[name] = '';
	const numbers = typedNumbers(typed, BlockBounds, ['plantedYear'], form.lengthUnit);
	if (typeof numbers === 'string') return numbers;
	const words = Object.fromEntries(
		(['floor', 'water', 'variety', 'season', 'bears', 'rootstock'] as const)
			.map((key) => [key, form[key].trim()])
			.filter(([, value]) => value !== '')
	) as Partial<Block>;
	return {
		...numbers,
		...(form.lengthUnit === 'm' ? { lengthUnit: 'm' as const } : {}),
		...(form.layout === 'triangle' ? { layout: 'triangle' as const } : {}),
		...words,
		...(form.organic ? { organic: true } : {}),
		...(was?.canopy === undefined ? {} : { canopy: was.canopy })
	};
}
