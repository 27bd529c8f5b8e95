import { limeDepth } from './lime-depth';
import type { CompiledRule } from '../packs/pack';
import { readSoilPh } from './soil/ph-scale';
import type { Site } from './site';
import { scaleOf } from './site-inputs';
import { SampledSoil } from './soil/sampled-soil';
import type { SoilLayer } from './soil/soil-layers';

/**
 * The site once for each layer that gives a pH on the rule's scale, cut off at the depth to be limed. What a layer
 * does not report is read from the others, the uppermost first.
 */
export function sitesByLayer(site: Site, compiled: CompiledRule): Site[] {
	const { depthIn } = limeDepth(site);
	return site.soil.layers
		.filter((layer) => layer.topIn < depthIn && readSoilPh(site.soil.only(layer), scaleOf(compiled)).applies)
		.map((layer) => {
			const cut = cutAt(layer, depthIn);
			if (cut === site.soil.layers[0]) return site;
			return {
				...site,
				soil: new SampledSoil([cut, ...site.soil.layers.filter((other) => other !== layer)], site.soil)
			};
		});
}

function cutAt(layer: SoilLayer, depthIn: number): SoilLayer {
	if (layer.bottomIn <= depthIn) return layer;
	return { ...layer, bottomIn: depthIn, thicknessIn: depthIn - layer.topIn };
}
