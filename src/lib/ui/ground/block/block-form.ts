import type { Block, BlockWater, OrchardFloor } from '$core/schema-types';
import { numberOrUndefined } from '../../forms/numbers';

export const FLOORS: readonly OrchardFloor[] = ['bare strip', 'sod', 'landscape fabric', 'mulch', 'legume cover'];
export const WATERS: readonly BlockWater[] = ['none', 'drip', 'micro-sprinkler', 'pivot', 'sprinkler'];

/** A block as it is typed. */
export interface BlockForm {
	plantedYear: string;
	lengthUnit: 'ft' | 'm';
	layout: 'rows' | 'triangle';
	rowSpacing: string;
	plantSpacing: string;
	plantsCounted: string;
	treatedWidth: string;
	rowBearingDeg: string;
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
	const text = (value: number | undefined) => (value === undefined ? '' : String(value));
	return {
		plantedYear: text(block?.plantedYear),
		lengthUnit: block?.lengthUnit ?? 'ft',
		layout: block?.layout ?? 'rows',
		rowSpacing: text(block?.rowSpacing),
		plantSpacing: text(block?.plantSpacing),
		plantsCounted: text(block?.plantsCounted),
		treatedWidth: text(block?.treatedWidth),
		rowBearingDeg: text(block?.rowBearingDeg),
		floor: block?.floor ?? '',
		water: block?.water ?? '',
		variety: block?.variety ?? '',
		season: block?.season ?? '',
		bears: block?.bears ?? '',
		rootstock: block?.rootstock ?? '',
		organic: block?.organic ?? false
	};
}

/** The block that was typed, or what is wrong with it. */
export function blockOfForm(form: BlockForm): Block | string {
	const plantedYear = numberOrUndefined(form.plantedYear);
	if (plantedYear === undefined || !Number.isInteger(plantedYear) || plantedYear < 1900 || plantedYear > 2150)
		return `The year planted “${form.plantedYear}” must be a year such as 2021.`;
	const rows = form.layout === 'rows';
	const numbers: Partial<Block> = {};
	for (const { key, name, asked, whole } of LENGTHS) {
		const typed = form[key].trim();
		if (typed === '' || (asked === 'rows' && !rows)) continue;
		const value = numberOrUndefined(typed);
		const fits = value !== undefined && (key === 'rowBearingDeg' ? value >= 0 && value < 180 : value > 0);
		if (!fits || (whole && !Number.isInteger(value)))
			return `${name} “${typed}” must be ${whole ?? 'a number above 0'}.`;
		numbers[key] = value;
	}
	const words = Object.fromEntries(
		(['floor', 'water', 'variety', 'season', 'bears', 'rootstock'] as const)
			.map((key) => [key, form[key].trim()])
			.filter(([, value]) => value !== '')
	) as Partial<Block>;
	return {
		plantedYear,
		...(form.lengthUnit === 'm' ? { lengthUnit: 'm' as const } : {}),
		...(rows ? {} : { layout: 'triangle' as const }),
		...numbers,
		...words,
		...(form.organic ? { organic: true } : {})
	};
}

interface TypedNumber {
	key: 'rowSpacing' | 'plantSpacing' | 'plantsCounted' | 'treatedWidth' | 'rowBearingDeg';
	name: string;
	asked: 'rows' | 'always';
	whole?: string;
}

const LENGTHS: readonly TypedNumber[] = [
	{ key: 'rowSpacing', name: 'The row spacing', asked: 'rows' },
	{ key: 'plantSpacing', name: 'The plant spacing', asked: 'always' },
	{ key: 'plantsCounted', name: 'The count of plants', asked: 'always', whole: 'a whole number' },
	{ key: 'treatedWidth', name: 'The treated strip', asked: 'rows' },
	{ key: 'rowBearingDeg', name: 'The direction of the rows', asked: 'rows' }
];
