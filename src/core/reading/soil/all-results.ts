import type { Answer } from '../../figure/figure';
import { analyteName } from '../../ground/analyte-names';
import { methodName, usualMethod } from '../../ground/lab-file/lab-methods';
import type { Result } from '../../schema-types';
import { readResult } from './read-result';
import type { SampledSoil } from './sampled-soil';

/** One line of the report: what the lab wrote, and what it is read as. */
export interface ReportLine {
	depthText: string;
	name: string;
	method: string;
	written: Result;
	read: Answer;
}

/** Every result of every layer, from the top down in the lab's order. */
export function allResults(soil: SampledSoil): ReportLine[] {
	return soil.layers.flatMap((layer) =>
		layer.results.map((written) => {
			const assumed = written.method ?? usualMethod(written.analyte);
			const named = assumed ? methodName(assumed) : '';
			return {
				depthText: layer.depthText,
				name: analyteName(written.analyte),
				method: written.method || !assumed ? named : `${named}, not named`,
				written,
				read: readResult(soil.only(layer), written.analyte, written.method && [written.method])
			};
		})
	);
}
