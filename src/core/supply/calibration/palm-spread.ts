import { figure, type Figure } from '../../figure/figure';
import type { Severity, SpreadCheck } from '../../schema-types';

/** Where palms of a block are looked at: teams tire from the road to the centre path. Common practice. */
export const PLACES = ['road', 'middle', 'path'] as const;
export type Place = keyof SpreadCheck['weighed'];
export const PLACE_WORDS: Record<Place, string> = {
	road: 'near the road',
	middle: 'in the middle',
	path: 'at the centre path'
};

/** Percent apart from which the doses of a block are worth a caution, and from which the work is stopped. Common practice. */
const APART = { mind: 10, stop: 25 } as const;

/** Sums of decimals may pass a limit by a hair. */
const HAIR = 1e-9;

/** What the palms of a block were given, against the dose that was ordered. */
export interface PalmSpread {
	/** Mean dose at each place, kg/palm. */
	means: Record<Place, Figure>;
	mean: Figure;
	/** The mean against the dose that was ordered, percent; below 0 where palms got less. */
	bias: Figure;
	/** The places against each other: (highest - lowest) / mean, percent. */
	apart: Figure;
	/** Undefined where the work is even and near the dose. */
	severity: Extract<Severity, 'mind' | 'stop'> | undefined;
}

/**
 * Doses that palms were found to have got, by place. Common practice: more than 10 % apart is worth a caution, from 25 % on the
 * work is stopped and the team trained again; so is a mean that far from the dose.
 * @param weighed kg for each palm, at least one at each place
 * @param orderedKg kg/palm, above 0
 * @returns undefined where a place has no palm, or nothing was found at all
 */
export function palmSpread(weighed: Record<Place, readonly number[]>, orderedKg: number): PalmSpread | undefined {
	const all = PLACES.flatMap((place) => weighed[place]);
	if (orderedKg <= 0 || PLACES.some((place) => weighed[place].length === 0) || all.every((kg) => kg === 0))
		return undefined;
	const means = Object.fromEntries(
		PLACES.map((place) => [place, meanOf(`mean dose ${PLACE_WORDS[place]}`, weighed[place])])
	) as PalmSpread['means'];
	const mean = meanOf('mean dose', all);
	const each = PLACES.map((place) => means[place].value);
	const apart = figure({
		label: 'places apart',
		value: (100 * (Math.max(...each) - Math.min(...each))) / mean.value,
		unit: '%',
		formula: '(highest place - lowest) / mean x 100',
		inputs: [...PLACES.map((place) => means[place]), mean],
		basis: 'practice'
	});
	const bias = figure({
		label: 'off the dose',
		value: (100 * (mean.value - orderedKg)) / orderedKg,
		unit: '%',
		formula: '(mean - ordered) / ordered x 100',
		inputs: [mean, figure({ label: 'ordered', value: orderedKg, unit: 'kg/palm', basis: 'adviser' })],
		basis: 'practice'
	});
	const worst = Math.max(apart.value, Math.abs(bias.value));
	const severity = worst >= APART.stop - HAIR ? 'stop' : worst > APART.mind + HAIR ? 'mind' : undefined;
	return { means, mean, bias, apart, severity };
}

function meanOf(label: string, kilograms: readonly number[]): Figure {
	return figure({
		label,
		value: kilograms.reduce((sum, kg) => sum + kg, 0) / kilograms.length,
		unit: 'kg/palm',
		formula: `sum of ${kilograms.length} ${kilograms.length === 1 ? 'palm' : 'palms'} / ${kilograms.length}`,
		basis: 'measured'
	});
}
