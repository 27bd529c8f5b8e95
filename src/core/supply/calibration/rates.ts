import { figure, type Figure } from '../../figure/figure';
import { FT2_PER_ACRE, LB_PER_SHORT_TON } from '../../units/factors';

const adviser = (label: string, value: number, unit: string) => figure({ label, value, unit, basis: 'adviser' });

/** Tons/ac of what a sheet on the ground caught: lb x 21.78 / ft2 (43,560 / 2000); trade arithmetic. */
export function tonsFromSheet(lbCaught: number, sheetFt2: number): Figure {
	return figure({
		label: 'spread',
		value: (lbCaught * FT2_PER_ACRE) / LB_PER_SHORT_TON / sheetFt2,
		unit: 'short ton/ac',
		formula: 'lb caught x 21.78 / ft2 of sheet',
		inputs: [adviser('caught', lbCaught, 'lb'), adviser('sheet', sheetFt2, 'ft2')],
		basis: 'practice'
	});
}

/** lb/ac of a load spread over a swath and a distance: load / (swath x distance) x 43,560; trade arithmetic. */
export function rateFromLoad(loadLb: number, swathFt: number, distanceFt: number): Figure {
	return figure({
		label: 'spread',
		value: (loadLb / (swathFt * distanceFt)) * FT2_PER_ACRE,
		unit: 'lb/ac',
		formula: 'load / (swath x distance) x 43,560',
		inputs: [adviser('load', loadLb, 'lb'), adviser('swath', swathFt, 'ft'), adviser('distance', distanceFt, 'ft')],
		basis: 'practice'
	});
}

/** Feet of the swath that a load must last for a rate; the other way round. */
export function distanceForLoad(loadLb: number, swathFt: number, ratePerAcre: number): Figure {
	return figure({
		label: 'the load lasts',
		value: (loadLb * FT2_PER_ACRE) / (swathFt * ratePerAcre),
		unit: 'ft',
		formula: 'load x 43,560 / (swath x rate)',
		inputs: [adviser('load', loadLb, 'lb'), adviser('swath', swathFt, 'ft'), adviser('rate', ratePerAcre, 'lb/ac')],
		basis: 'practice'
	});
}

/** gal/min of one nozzle: gal/ac x mph x spacing in / 5940; trade arithmetic. */
export function nozzleFlow(galPerAcre: number, mph: number, spacingIn: number): Figure {
	return figure({
		label: 'each nozzle',
		value: (galPerAcre * mph * spacingIn) / 5940,
		unit: 'gal/min',
		formula: 'gal/ac x mph x spacing / 5940',
		inputs: [
			adviser('rate', galPerAcre, 'gal/ac'),
			adviser('speed', mph, 'mph'),
			adviser('nozzle spacing', spacingIn, 'in')
		],
		basis: 'practice'
	});
}

/** Ground speed from a measured stretch: ft / s x 3600 / 5280. */
export function groundSpeed(feet: number, seconds: number): Figure {
	return figure({
		label: 'speed',
		value: ((feet / seconds) * 3600) / 5280,
		unit: 'mph',
		formula: 'feet / seconds x 3600 / 5280',
		inputs: [adviser('stretch', feet, 'ft'), adviser('time', seconds, 's')],
		basis: 'practice'
	});
}

/** lb of product for each tree: rate x area of a tree, ft2 / 43,560. */
export function perTree(ratePerAcre: number, rowFt: number, treeFt: number): Figure {
	return figure({
		label: 'each tree',
		value: (ratePerAcre * rowFt * treeFt) / FT2_PER_ACRE,
		unit: 'lb/tree',
		formula: 'rate x row x tree spacing / 43,560',
		inputs: [
			adviser('rate', ratePerAcre, 'lb/ac'),
			adviser('rows', rowFt, 'ft'),
			adviser('trees in the row', treeFt, 'ft')
		],
		basis: 'practice'
	});
}

/**
 * lb of product for 100 ft of row: lb/ac x row spacing ft x 100 / 43,560, for a rate by planted acre. For a rate by treated acre
 * the width of the treated band takes the place of the row spacing.
 */
export function per100FtOfRow(ratePerAcre: number, widthFt: number, by: 'planted acre' | 'treated band'): Figure {
	return figure({
		label: 'along the row',
		value: (ratePerAcre * widthFt * 100) / FT2_PER_ACRE,
		unit: 'lb/100 ft',
		formula: `rate x ${by === 'planted acre' ? 'row spacing' : 'width of the band'} x 100 / 43,560`,
		inputs: [
			adviser('rate', ratePerAcre, 'lb/ac'),
			adviser(by === 'planted acre' ? 'row spacing' : 'treated band', widthFt, 'ft')
		],
		basis: 'practice'
	});
}

/** Palms are fed by cups of half a kilogram; trade practice. */
const CUP_KG = 0.5;

/** Whole cups of 0.5 kg for a palm, and what they hold, kg. */
export function cupsPerPalm(kgPerPalm: number): { cups: number; kg: number } {
	const cups = Math.round(kgPerPalm / CUP_KG);
	return { cups, kg: cups * CUP_KG };
}

/**
 * What went on by the product that is gone: (before - after) / acres, and how far that is from the plan, percent of it. Above 0 is too
 * much.
 */
export function countBack(
	beforeLb: number,
	afterLb: number,
	acres: number,
	planned: number
): { rate: Figure; off: Figure } {
	const rate = figure({
		label: 'went on',
		value: (beforeLb - afterLb) / acres,
		unit: 'lb/ac',
		formula: '(before - after) / acres',
		inputs: [
			adviser('on hand before', beforeLb, 'lb'),
			adviser('on hand after', afterLb, 'lb'),
			adviser('acres', acres, 'ac')
		],
		basis: 'measured'
	});
	const off = figure({
		label: 'against the plan',
		value: (100 * (rate.value - planned)) / planned,
		unit: '%',
		formula: '100 x (went on - planned) / planned',
		inputs: [rate, adviser('planned', planned, 'lb/ac')],
		basis: 'measured'
	});
	return { rate, off };
}
