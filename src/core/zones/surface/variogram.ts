import type { PlanePoints } from './sample-points';

export type VariogramModel = 'spherical' | 'exponential';

/** How values differ with distance: nugget + partial sill x shape(h / range), 0 at no distance. */
export interface Variogram {
	model: VariogramModel;
	nugget: number;
	partialSill: number;
	/** Metres; for the exponential, the distance parameter (95 % of the sill at three of them). */
	rangeM: number;
}

/** Half the mean squared difference of pairs about so far apart. */
export interface VariogramBin {
	distanceM: number;
	semivariance: number;
	pairs: number;
}

const BINS = 15;
const RANGES_TRIED = 120;

/** The shape of a model at h metres: 0 at none, 1 at the sill. */
export function shapeAt(model: VariogramModel, h: number, rangeM: number): number {
	const u = h / rangeM;
	if (model === 'exponential') return 1 - Math.exp(-u);
	return u >= 1 ? 1 : u * (1.5 - 0.5 * u * u);
}

/** Semivariance at h metres. */
export function semivariance({ model, nugget, partialSill, rangeM }: Variogram, h: number): number {
	return h === 0 ? 0 : nugget + partialSill * shapeAt(model, h, rangeM);
}

/** The measured variogram (Matheron's estimator) in bins up to half the greatest distance; bins without pairs are left out. */
export function measuredVariogram({ east, north, value }: PlanePoints): VariogramBin[] {
	const pairs: [number, number][] = [];
	let most = 0;
	for (let a = 0; a < value.length; a++) {
		for (let b = a + 1; b < value.length; b++) {
			const h = Math.hypot(east[a]! - east[b]!, north[a]! - north[b]!);
			most = Math.max(most, h);
			pairs.push([h, (value[a]! - value[b]!) ** 2]);
		}
	}
	const width = most / 2 / BINS;
	const bins = Array.from({ length: BINS }, () => ({ distance: 0, squares: 0, pairs: 0 }));
	for (const [h, square] of pairs) {
		if (h > most / 2) continue;
		const bin = bins[Math.min(BINS - 1, Math.floor(h / width))]!;
		bin.distance += h;
		bin.squares += square;
		bin.pairs++;
	}
	return bins
		.filter((bin) => bin.pairs > 0)
		.map(({ distance, squares, pairs: count }) => ({
			distanceM: distance / count,
			semivariance: squares / (2 * count),
			pairs: count
		}));
}

/**
 * The spherical or exponential model nearest to a measured variogram, by least squares weighted with pairs / distance
 * squared (a common choice): for each of many ranges the best nugget and sill, none below 0.
 */
export function fitVariogram(bins: readonly VariogramBin[]): Variogram {
	const far = Math.max(...bins.map(({ distanceM }) => distanceM));
	const near = Math.min(...bins.map(({ distanceM }) => distanceM));
	let best: { variogram: Variogram; misfit: number } | undefined;
	for (const model of ['spherical', 'exponential'] as const) {
		for (let step = 0; step <= RANGES_TRIED; step++) {
			const rangeM = near * ((2 * far) / near) ** (step / RANGES_TRIED);
			const found = bestSills(bins, model, rangeM);
			if (!best || found.misfit < best.misfit - 1e-12) best = found;
		}
	}
	return best!.variogram;
}

function bestSills(
	bins: readonly VariogramBin[],
	model: VariogramModel,
	rangeM: number
): { variogram: Variogram; misfit: number } {
	let sw = 0;
	let sg = 0;
	let sgg = 0;
	let sy = 0;
	let sgy = 0;
	for (const { distanceM, semivariance: y, pairs } of bins) {
		const w = pairs / distanceM ** 2;
		const g = shapeAt(model, distanceM, rangeM);
		sw += w;
		sg += w * g;
		sgg += w * g * g;
		sy += w * y;
		sgy += w * g * y;
	}
	const determinant = sw * sgg - sg * sg;
	let nugget = determinant > 0 ? (sy * sgg - sg * sgy) / determinant : sy / sw;
	let partialSill = determinant > 0 ? (sw * sgy - sg * sy) / determinant : 0;
	if (nugget < 0) [nugget, partialSill] = [0, Math.max(0, sgy / sgg)];
	if (partialSill < 0) [nugget, partialSill] = [sy / sw, 0];
	const misfit = bins.reduce((sum, { distanceM, semivariance: y, pairs }) => {
		const miss = y - nugget - partialSill * shapeAt(model, distanceM, rangeM);
		return sum + (pairs / distanceM ** 2) * miss * miss;
	}, 0);
	return { variogram: { model, nugget, partialSill, rangeM }, misfit };
}
