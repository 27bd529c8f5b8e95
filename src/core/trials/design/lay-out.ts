import type { Polygon } from 'geojson';
import { InputError, type Problem } from '../../check/problem';
import { areaAcres } from '../../ground/shapes/geodesic-area';
import type { Shape } from '../../ground/shapes/shape';
import type { TrialPlan, TrialPlot } from '../../schema-types';
import { FT_PER_M } from '../../units/factors';
import { lengthText } from '../../units/length-text';
import type { UnitSystem } from '../../units/rate-units';
import { designStops } from './design-cautions';
import { drawOrder } from './draw-order';
import { driveFrame, type DriveFrame } from './drive-frame';
import { placeBlocks } from './place-blocks';
import { plotNumber } from './plot-number';
import { treatmentNames } from './treatments';

const MOST_PLOTS_IN_BLOCK = 48;
/** Shorter plots are tried in such steps, feet. */
const STEP_FT = 20;
const DIGITS = 7;

/**
 * The plots of a plan on a field: blocks of strips along the direction of driving, the order of treatments drawn by the plan's seed.
 * @param units of the reader, for what is said where it does not fit
 * @throws InputError where the plan does not hold together, is stopped, or does not fit into the field
 */
export function layOut(plan: TrialPlan, field: Shape, units: UnitSystem = 'us'): TrialPlot[] {
	checkPlan(plan, units);
	const frame = driveFrame(field, plan.headingDegrees);
	const perBlock = treatmentNames(plan).length;
	const widthM = plan.widthFt / FT_PER_M;
	const places = (lengthFt: number | undefined) =>
		placeBlocks(field, frame, {
			widthM: perBlock * widthM,
			lengthM: lengthFt === undefined ? undefined : lengthFt / FT_PER_M,
			headlandM: plan.headlandFt / FT_PER_M,
			blocks: plan.blocks,
			stacked: plan.design === 'latin-square',
			near: plan.near && frame.toFrame(plan.near)
		});
	const found = places(plan.lengthFt);
	if (found.length < plan.blocks) {
		throw new InputError([
			{ path: '/plan/blocks', message: doesNotFit(plan, { perBlock, fitting: found.length, units }, places) }
		]);
	}
	const order = drawOrder(plan);
	return found.flatMap(({ across, along, lengthM }, block) =>
		order[block]!.map((levels, at) => {
			const shape = rectangle(frame, across + at * widthM, along, widthM, lengthM);
			return {
				plot: plotNumber(block + 1, at + 1),
				block: block + 1,
				levels,
				areaAcres: Math.round(areaAcres(shape) * 1000) / 1000,
				shape
			};
		})
	);
}

/**
 * What must hold of a plan wherever it is laid out.
 * @throws InputError where it does not
 */
export function checkPlan(plan: TrialPlan, units: UnitSystem = 'us'): void {
	const problems = [...planProblems(plan), ...designStops(plan, units)];
	if (problems.length > 0) throw new InputError(problems);
}

/** A Latin square is as many rows as treatments, one behind the other, and takes out by them what ground does. */
function squareProblems({ blocks, lengthFt, grounds = [] }: TrialPlan, treatments: number): Problem[] {
	const wrong = (path: string, message: string) => ({ path: `/plan/${path}`, message });
	return [
		...(blocks === treatments
			? []
			: [wrong('blocks', `must be ${treatments}, a row for each of the ${treatments} treatments; got ${blocks}`)]),
		...(lengthFt === undefined ? [wrong('lengthFt', 'must be given: rows lie one behind the other')] : []),
		...(grounds.length > 0
			? [wrong('grounds', 'must be left out: rows and columns even out what the ground does')]
			: [])
	];
}

/** First across from left to right, then along: by this the edges of a plot are told from its ends. */
function rectangle(frame: DriveFrame, across: number, along: number, widthM: number, lengthM: number): Polygon {
	const corner = (x: number, y: number) => frame.toDegrees(x, y).map((degrees) => Number(degrees.toFixed(DIGITS)));
	const first = corner(across, along);
	return {
		type: 'Polygon',
		coordinates: [
			[
				first,
				corner(across + widthM, along),
				corner(across + widthM, along + lengthM),
				corner(across, along + lengthM),
				first
			]
		]
	};
}

function doesNotFit(
	{ blocks, widthFt, lengthFt }: TrialPlan,
	{ perBlock, fitting, units }: { perBlock: number; fitting: number; units: UnitSystem },
	places: (lengthFt: number) => readonly unknown[]
): string {
	const length = (feet: number) => lengthText(feet, units);
	const size = `${length(perBlock * widthFt)} wide${lengthFt === undefined ? ', as strips over the whole field' : ` and ${length(lengthFt)} long`}`;
	const longest = lengthFt ?? 1000;
	// The longest that fits, in steps: a shorter plot fits wherever a longer one does.
	let [fits, tooLong] = [0, Math.ceil(longest / STEP_FT)];
	while (tooLong - fits > 1) {
		const middle = Math.floor((fits + tooLong) / 2);
		if (places(middle * STEP_FT).length >= blocks) fits = middle;
		else tooLong = middle;
	}
	const shorter = fits === 0 ? undefined : fits * STEP_FT;
	const remedy =
		shorter === undefined
			? 'Take fewer treatments, narrower plots, or drive another way.'
			: `Plots of ${length(shorter)} would.`;
	return `must fit: only ${fitting} of ${blocks} blocks, each ${size}, do. ${remedy}`;
}

function planProblems(plan: TrialPlan): Problem[] {
	const { factors, design, wholePlot, blocks, usual, grounds, costs = {} } = plan;
	const names = treatmentNames(plan);
	const problems: Problem[] = [];
	const wrong = (path: string, message: string) => problems.push({ path: `/plan${path}`, message });
	if (new Set(factors.map(({ name }) => name)).size < factors.length) wrong('/factors', 'names a factor twice');
	if (new Set(names).size < names.length) wrong('/factors', 'make two treatments of one name');
	if (names.length > MOST_PLOTS_IN_BLOCK) {
		wrong('/factors', `make ${names.length} treatments; at most ${MOST_PLOTS_IN_BLOCK} stand in a block`);
	}
	if (design === 'split-plot' && (factors.length < 2 || !factors.some(({ name }) => name === wholePlot))) {
		wrong('/wholePlot', `must name one of two factors or more: ${factors.map(({ name }) => name).join(', ')}`);
	}
	if (design === 'paired' && names.length !== 2) wrong('/factors', 'must make two treatments in paired strips');
	if (design === 'latin-square') problems.push(...squareProblems(plan, names.length));
	if (design === 'unreplicated' && blocks > 1) wrong('/blocks', 'must be 1 where nothing is repeated');
	if (design !== 'unreplicated' && blocks < 2) {
		wrong('/blocks', 'must be 2 or more; a single one is an unreplicated demonstration');
	}
	if (grounds && grounds.length > 0 && grounds.length !== blocks) {
		wrong('/grounds', `must name the ground of all ${blocks} blocks; got ${grounds.length}`);
	}
	if (usual !== undefined && !names.includes(usual)) wrong('/usual', `must be one of ${names.join('; ')}`);
	const stray = Object.keys(costs).find((one) => !names.includes(one));
	if (stray !== undefined) wrong('/costs', `names "${stray}", which is no treatment of this trial`);
	return problems;
}
