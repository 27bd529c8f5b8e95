import type { Answer, Figure } from '../figure/figure';
import type { InSeason, Rule } from '../schema-types';

/**
 * What a rule may ask for. Units: ppm, meq/100 g, pH, %, inches, g/cm3, cm, the crop's yield unit, lb N/ac for
 * credits, rates and dressings; $ per yield unit and per lb N; stems per ft2; fractions for the effective part of a
 * lime, the share of straw taken off and the efficiency of nitrogen; the year of a planting's life, plants per acre, % in
 * the leaf.
 */
export const INPUT_NAMES = [
	'soilTest',
	'cec',
	'organicMatter',
	'organicCarbon',
	'clay',
	'bulkDensity',
	'layerThicknessCm',
	'sampledDepthIn',
	'yieldGoal',
	'residueShare',
	'nitrogenRate',
	'soilPh',
	'bufferPh',
	'targetPh',
	'limeDepthIn',
	'effectiveFraction',
	'credits',
	'grainPrice',
	'nitrogenPrice',
	'rootZoneNitratePpm',
	'timingFactor',
	'placedNitrogen',
	'sidedressNitratePpm',
	'criticalNitratePpm',
	'tillersPerFt2',
	'leastDressing',
	'yieldWithout',
	'yieldRich',
	'nitrogenEfficiency',
	'plantAge',
	'plantsPerAcre',
	'leafTest'
] as const;

export type InputName = (typeof INPUT_NAMES)[number];

/** Plain numbers for `compute`. A missing one is NaN, which the arithmetic passes on; `explain` reports it. */
export type RuleNumbers = Record<InputName, number>;

/** The same inputs as figures for `explain`: all that the kind `needs`; organic matter only where it was measured. */
export type RuleFigures = Record<Exclude<InputName, 'organicMatter'>, Figure> & { organicMatter?: Figure };

/** Words for the worksheet that every kind puts on its figures. */
export type RuleWords = Pick<Rule, 'title' | 'unit' | 'basis' | 'citation' | 'cautions'>;

/**
 * One kind of rule: a formula whose coefficients are data. Adding a guide takes no code; adding a formula is one
 * file with one of these.
 *
 * `S` names its intermediate steps. The arithmetic stands in `compute` alone; `explain` puts words to its steps.
 */
export interface RuleKind<P, S extends object = NoSteps> {
	readonly kind: string;
	/** JSON Schema of the coefficients for one crop: the rule's `parameters` with the crop's laid over them. */
	readonly parameters: object;
	/** Worked once for each layer of the sample that gives a pH, and summed. */
	readonly byLayer?: true;
	/** Worked once for each zone with N-rich and zero-N strips, and averaged by area. */
	readonly byZone?: true;
	/** Its coefficients reckon with 2,000,000 lb of soil in 6 2/3 in, whatever was measured. */
	readonly byFurrowSlice?: true;
	/** The test in the crop that it rests on. */
	readonly test?: keyof InSeason;
	/** What a rate of this kind covers where it is not the whole season. */
	readonly covers?: 'from now on' | 'for this dressing';
	/** The intermediate steps by name, not worked yet; each rule at work has one copy, which `compute` overwrites. */
	readonly steps: S;
	/** The inputs this rule cannot do without. */
	needs(parameters: P): readonly InputName[];
	/**
	 * Writes each step and returns the last, the rule's number: the only place of the formula. It does not allocate,
	 * since whole rasters go through it. NaN where an input is missing.
	 */
	compute(parameters: P, numbers: RuleNumbers, steps: S): number;
	/** The worksheet of what `compute` has just worked out; `rate` is what it returned. */
	explain(parameters: P, figures: RuleFigures, words: RuleWords, worked: Readonly<S & { rate: number }>): Answer;
}

/** A kind whose number is one step from its inputs. */
type NoSteps = Record<never, number>;

/** A kind whose coefficients and steps are not known here. */
export type AnyRuleKind = RuleKind<unknown, Record<string, number>>;

/** A set of numbers with nothing known yet. */
export function noNumbers(): RuleNumbers {
	// Written out: a literal is made many times faster than an object from entries, and whole rasters ask for it.
	return {
		soilTest: NaN,
		cec: NaN,
		organicMatter: NaN,
		organicCarbon: NaN,
		clay: NaN,
		bulkDensity: NaN,
		layerThicknessCm: NaN,
		sampledDepthIn: NaN,
		yieldGoal: NaN,
		residueShare: NaN,
		nitrogenRate: NaN,
		soilPh: NaN,
		bufferPh: NaN,
		targetPh: NaN,
		limeDepthIn: NaN,
		effectiveFraction: NaN,
		credits: NaN,
		grainPrice: NaN,
		nitrogenPrice: NaN,
		rootZoneNitratePpm: NaN,
		timingFactor: NaN,
		placedNitrogen: NaN,
		sidedressNitratePpm: NaN,
		criticalNitratePpm: NaN,
		tillersPerFt2: NaN,
		leastDressing: NaN,
		yieldWithout: NaN,
		yieldRich: NaN,
		nitrogenEfficiency: NaN,
		plantAge: NaN,
		plantsPerAcre: NaN,
		leafTest: NaN
	};
}

/** What every figure of a rule says of where it comes from. */
export function sourceOf({ basis, citation }: RuleWords): Pick<Figure, 'basis' | 'citation'> {
	return { basis, citation };
}
