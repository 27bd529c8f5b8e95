import type { Analyte } from '../schema-types';

/** Values outside these cannot come from soil: common practice. */
const RANGES: Partial<Record<Analyte, readonly [low: number, high: number]>> = {
	pH: [3, 10],
	bufferPh: [3, 9],
	OM: [0, 60],
	OC: [0, 35],
	clay: [0, 100],
	carbonate: [0, 100],
	bulkDensity: [0.1, 2.2],
	CEC: [0.5, 250],
	satCa: [0, 120],
	satMg: [0, 120],
	satK: [0, 120],
	satNa: [0, 120],
	satH: [0, 120],
	satAl: [0, 120]
};

/** The lowest and highest value soil can have, in the canonical unit; undefined where there is no bound. */
export function possibleRange(analyte: Analyte): readonly [low: number, high: number] | undefined {
	return RANGES[analyte];
}
