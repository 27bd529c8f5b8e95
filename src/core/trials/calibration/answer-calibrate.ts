import jstat from 'jstat';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { CalibrateAnswer, CalibrateRequest, CalibrationFit } from '../../schema-types';
import { responseTest } from './response-test';
import {
	arcsineLog,
	cateNelson,
	linearPlateau,
	mitscherlich,
	quadraticPlateau,
	type CriticalOf,
	type Site
} from './critical-values';

const WAYS: readonly [CalibrationFit['model'], CriticalOf][] = [
	['cate-nelson', cateNelson],
	['linear-plateau', linearPlateau],
	['quadratic-plateau', quadraticPlateau],
	['mitscherlich', mitscherlich],
	['arcsine-log', arcsineLog]
];
const USUAL_LEVEL = 0.9;
const USUAL_REPLICATES = 1000;
/** Fewer sites than this say too little for an interval: judgement. */
const LEAST_SITES = 8;
/** An interval of fewer draws that have the shape would be of the shape, not of the sites: judgement. */
const LEAST_SHARE = 0.8;

/**
 * Critical values of a soil or leaf test from sites, by each way of reading them, with intervals from sites drawn anew.
 * @param request checked by schemas/calibrate-request.schema.json
 */
export function answerCalibrate(request: CalibrateRequest): CalibrateAnswer {
	const { observations: sites, level = USUAL_LEVEL, replicates = USUAL_REPLICATES } = request;
	const few = sites.length < LEAST_SITES;
	const { p, none } = responseTest(sites, request.seed ?? 1);
	const draws = few || none !== undefined ? [] : drawn(sites, replicates, request.seed ?? 1);
	return {
		...(p === undefined ? {} : { p }),
		fits: WAYS.map(([model, way]) => {
			const found = none === undefined ? way(sites) : undefined;
			if (!found) {
				const reason = none === undefined ? 'the sites do not rise to a level in this shape' : 'no response seen';
				return { model, coefficients: {}, rss: null, critical: null, interval: null, reason };
			}
			return { ...found, rss: found.rss ?? null, interval: intervalOf(way, draws, level) };
		}),
		notes: [
			...(none === undefined ? [] : [none]),
			...(few ? [`${sites.length} sites are too few for intervals; it takes ${LEAST_SITES}.`] : []),
			...(sites.some(({ relativeYield }) => relativeYield > 100)
				? ['Relative yields above 100 % count as 100 in the arcsine-log line.']
				: []),
			'The ways answer different questions: all are shown, and none is the truth.'
		]
	};
}

function drawn(sites: readonly Site[], replicates: number, seed: number): Site[][] {
	const random = xoroshiro128plus(seed);
	return Array.from({ length: replicates }, () => sites.map(() => sites[uniformInt(random, 0, sites.length - 1)]!));
}

/** Percentiles of the critical values of the draws. */
function intervalOf(way: CriticalOf, draws: readonly Site[][], level: number): [number, number] | null {
	const found = draws.flatMap((sites) => way(sites)?.critical ?? []).filter(Number.isFinite);
	if (found.length === 0 || found.length < LEAST_SHARE * draws.length) return null;
	const [low = NaN, high = NaN] = jstat.quantiles(found, [(1 - level) / 2, (1 + level) / 2], 1, 1);
	return [low, high];
}
