import type { Problem } from '../../check/problem';
import { areaM2 } from '../../ground/shapes/geodesic-area';
import type { Shape } from '../../ground/shapes/shape';
import type { TrialPlan, TrialPlot } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { lengthText } from '../../units/length-text';
import type { UnitSystem } from '../../units/rate-units';
import { cutByField } from '../../zones/shapes/cut-by-field';
import { plotFrame } from '../plots/plot-frame';
import { USUAL_END_FT } from '../plots/yield-of-plots';
import { USUAL_CV } from '../analysis/usual-values';
import { MOST_REPLICATES, replicatesNeeded, seenDifference } from './replicates';
import { inUnitOf } from './level-units';
import { rateFactor, treatmentNames } from './treatments';

/** A width in whole passes up to this share of a pass: what rounding of feet makes. */
const WHOLE = 0.01;
/** Length that a yield monitor needs to settle and to tell a mean; common practice. */
const LEAST_HARVEST_FT = 200;
/** Ground that two shapes share below this share of a plot is a common edge. */
const EDGE = 0.02;

/** What forbids a design: its plots could be neither spread nor harvested on their own. */
export function designStops({ widthFt, headerFt, passFt }: TrialPlan, units: UnitSystem): Problem[] {
	const length = (feet: number) => lengthText(feet, units);
	const problems: Problem[] = [];
	if (widthFt < headerFt) {
		problems.push({
			path: '/plan/widthFt',
			message: `must be at least the header’s ${length(headerFt)}; at ${length(widthFt)} a pass of the combine would take two treatments at once`
		});
	}
	if (widthFt < passFt) {
		problems.push({
			path: '/plan/widthFt',
			message: `must be at least the spreader’s ${length(passFt)}; at ${length(widthFt)} a pass would reach into the next plot`
		});
	}
	return problems;
}

/** What else is known where a trial lies. */
export interface TrialGround {
	/** Of the reader. */
	units: UnitSystem;
	zones: readonly { name: string; shape: Shape }[];
	/** Trials that lay on the field before. */
	earlier: readonly { name: string; year: number; plots: readonly TrialPlot[] }[];
	/** What the approaches advise for the rate that is tried, where they do. */
	advised?: { least: number; most: number } | undefined;
	/** Mean yield that is expected, for the coefficient of variation. */
	yieldGoal?: number | undefined;
}

/** What an adviser should know of a design before anything is spread, in whole sentences. */
export function designCautions(plan: TrialPlan, plots: readonly TrialPlot[], ground: TrialGround): string[] {
	return [
		...widthCautions(plan, ground.units),
		...harvestCautions(plan, plots, ground.units),
		...rateCautions(plan, ground.advised),
		...(plan.blocks === 1
			? ['Nothing is repeated: the trial can show, and cannot prove. No verdict will be given.']
			: []),
		...acrossZones(plots, ground.zones),
		...onOldPlots(plots, ground.earlier),
		...powerCautions(plan, ground.yieldGoal)
	];
}

function widthCautions({ widthFt, passFt, headerFt }: TrialPlan, units: UnitSystem): string[] {
	const length = (feet: number) => lengthText(feet, units);
	const isWhole = (width: number) => Math.abs(widthFt / width - Math.round(widthFt / width)) < WHOLE;
	return [
		...(isWhole(passFt)
			? []
			: [
					`${length(widthFt)} is no whole number of the spreader’s ${length(passFt)} passes: the last one overlaps or leaves a gap.`
				]),
		...(isWhole(headerFt)
			? []
			: [
					`${length(widthFt)} is no whole number of the header’s ${length(headerFt)}: harvest whole passes from the middle of each plot.`
				])
	];
}

/** What is left of a plot for the combine, once its edges and ends are left out. */
function harvestCautions({ widthFt, headerFt }: TrialPlan, plots: readonly TrialPlot[], units: UnitSystem): string[] {
	const length = (feet: number) => lengthText(feet, units);
	const shortest = Math.min(...plots.map((plot) => plotFrame(plot).lengthFt)) - 2 * USUAL_END_FT;
	return [
		...(widthFt < 2 * headerFt * (1 - WHOLE)
			? [
					`Only one pass of the ${length(headerFt)} header fits in a plot, and it reaches both edges. Plots of ${length(2 * headerFt)} give two.`
				]
			: []),
		...(shortest < LEAST_HARVEST_FT
			? [
					`${length(Math.max(0, Math.round(shortest)))} of a plot's length are left without ${length(USUAL_END_FT)} at each end. Leave ${length(LEAST_HARVEST_FT)} or more for the yield monitor.`
				]
			: [])
	];
}

function rateCautions(plan: TrialPlan, advised: TrialGround['advised']): string[] {
	const factor = rateFactor(plan);
	if (!factor) return [];
	const rates = factor.levels.map(Number);
	const most = Math.max(...rates);
	const text = (rate: number) => `${formatNumber(rate, 'ratio')} ${factor.unit}`;
	const top = advised && Math.round(10 * inUnitOf(factor, advised.most)) / 10;
	return [
		...(rates.includes(0)
			? []
			: [`No plot goes without ${factor.name}: what the soil gives by itself stays unknown. Add a zero rate.`]),
		...(top !== undefined && most > top
			? [
					`${text(most)} is above all that is advised here (up to ${text(top)}): it is the plenty rate. Sample residual nitrate on it, and see that no nutrient plan or permit is exceeded.`
				]
			: []),
		...(top !== undefined && most <= top
			? [`No rate is above what is advised here (up to ${text(top)}): the plateau may not be reached. Add one.`]
			: [])
	];
}

function acrossZones(plots: readonly TrialPlot[], zones: TrialGround['zones']): string[] {
	if (zones.length < 2) return [];
	const across = new Map<string, number[]>();
	for (const block of new Set(plots.map((plot) => plot.block))) {
		const own = plots.filter((plot) => plot.block === block);
		const met = zones.filter(({ shape }) => own.some((plot) => shares(plot.shape, shape))).map(({ name }) => name);
		if (met.length > 1) across.set(met.join(' and '), [...(across.get(met.join(' and ')) ?? []), block]);
	}
	return [...across].map(([names, blocks]) => {
		const who = blocks.length === 1 ? `Block ${blocks[0]!} lies` : `Blocks ${blocks.join(', ')} lie`;
		return `${who} across ${names}: plots of a block differ there by their ground as well as by treatment.`;
	});
}

function onOldPlots(plots: readonly TrialPlot[], earlier: TrialGround['earlier']): string[] {
	return earlier.flatMap(({ name, year, plots: old }) => {
		const hit = plots.filter(({ shape }) => old.some((one) => shares(shape, one.shape)));
		return hit.length > 0
			? [
					`${hit.length} of ${plots.length} plots lie on those of “${name}” (${year}): what it left in the ground works on. Move the trial or turn it.`
				]
			: [];
	});
}

/** Whether shapes share more than an edge. */
function shares(one: Shape, other: Shape): boolean {
	const common = cutByField(one, other);
	return common !== undefined && areaM2(common) > EDGE * areaM2(one);
}

function powerCautions(plan: TrialPlan, yieldGoal: number | undefined): string[] {
	const { blocks, worthKnowing, cvPercent = USUAL_CV } = plan;
	if (yieldGoal === undefined || blocks < 2) return [];
	const sd = (cvPercent / 100) * yieldGoal;
	const seen = seenDifference(blocks, sd);
	const base = `With ${blocks} blocks and a CV of ${cvPercent} % two of the ${treatmentNames(plan).length} treatments must really differ by ${formatNumber(Math.round(seen * 10) / 10, 'yield')} to be told apart in 8 of 10 trials.`;
	if (worthKnowing === undefined || worthKnowing >= seen) return [base];
	const needed = replicatesNeeded(worthKnowing, sd);
	const remedy = needed === undefined ? `more than ${MOST_REPLICATES} blocks` : `${needed} blocks`;
	return [
		`${base} A difference of ${formatNumber(worthKnowing, 'yield')} would take ${remedy}, or the same trial on several fields read together.`
	];
}
