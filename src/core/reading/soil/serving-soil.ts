import type { Analyte, Result } from '../../schema-types';
import { spentBecause } from '../../ground/sampling/test-life';
import { SampledSoil } from './sampled-soil';

/**
 * A soil without the results that say nothing of a crop any more, and why each is left out.
 * @param sampledOn undefined where the sample has no date: then nothing is left out
 */
export function servingSoil(
	soil: SampledSoil,
	sampledOn: string | undefined,
	cropYear: number | undefined,
	on: string
): SampledSoil {
	if (sampledOn === undefined) return soil;
	const spent = new Map<Analyte, string>();
	const serves = ({ analyte }: Result) => {
		const why = spentBecause(analyte, sampledOn, cropYear, on);
		if (why !== undefined) spent.set(analyte, why);
		return why === undefined;
	};
	const layers = soil.layers.map((layer) => ({ ...layer, results: layer.results.filter(serves) }));
	return spent.size === 0 ? soil : new SampledSoil(layers, { spent, units: soil.units });
}
