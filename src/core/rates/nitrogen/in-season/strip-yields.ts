import { knownParameters } from '../../../packs/parameters-of';
import { figure, notApplicable, type Answer } from '../../../figure/figure';
import { measured } from '../../../figure/measured';
import type { CompiledRule } from '../../../packs/pack';
import type { Site } from '../../../reading/site';
import { referenceStrip } from './reference-strip';

const REMEDY = 'Leave a strip without nitrogen and one with plenty in each zone, and estimate both yields.';

function noStrips(label: string): Answer {
	return notApplicable(label, 'no N-rich and zero-N strips are recorded', REMEDY, 'N-rich and zero-N strips');
}

/** Yield without more nitrogen in the zone at work, in the crop's unit. */
export function readYieldWithout({ crop, zone }: Site): Answer {
	const label = 'yield without more nitrogen';
	if (!zone) return noStrips(label);
	return figure({ label, value: zone.yieldWithout, unit: crop.yieldUnit, basis: 'measured' });
}

/**
 * Yield with plenty of nitrogen in the zone at work: as given, or the yield without times how much better the rich
 * strip's canopy looks (its index over that of the zone, 1 at least), no more than the ground can yield.
 */
export function readYieldRich(site: Site): Answer {
	const { crop, zone, inSeason } = site;
	const label = 'yield with plenty of nitrogen';
	if (!zone) return noStrips(label);
	if (zone.yieldRich !== undefined) {
		return figure({ label, value: zone.yieldRich, unit: crop.yieldUnit, basis: 'measured' });
	}
	const response = figure({
		label: 'response index',
		value: Math.max(1, zone.richIndex! / zone.index!),
		unit: '',
		formula: 'canopy index of the rich strip / of the zone, 1 at least',
		inputs: [measured('index of the rich strip', zone.richIndex!), measured('index of the zone', zone.index!)],
		basis: 'memory',
		citation: 'Raun and co-workers 2002, Agronomy Journal 94'
	});
	const without = figure({
		label: 'yield without more nitrogen',
		value: zone.yieldWithout,
		unit: crop.yieldUnit,
		basis: 'measured'
	});
	const most = inSeason.strips?.mostYield;
	const promised = without.value * response.value;
	const capped = most !== undefined && promised > most;
	return figure({
		label,
		value: capped ? most : promised,
		unit: crop.yieldUnit,
		formula: `yield without x response index${capped ? ', no more than this ground can yield' : ''}`,
		inputs: [
			without,
			response,
			...(capped
				? [figure({ label: 'most this ground yields', value: most, unit: crop.yieldUnit, basis: 'adviser' })]
				: [])
		],
		basis: 'memory',
		citation: 'Raun and co-workers 2002, Agronomy Journal 94'
	});
}

/** Share of the nitrogen that ends in the grain: the adviser's, else the guide's. */
export function readEfficiency(site: Site, compiled: CompiledRule): Answer {
	const label = 'use efficiency';
	const own = site.inSeason.strips?.efficiency;
	if (own !== undefined) return figure({ label, value: own, unit: '', basis: 'adviser' });
	const { efficiency } = knownParameters(referenceStrip, compiled, site.crop.id);
	return figure({ label, value: efficiency, unit: '', basis: 'practice' });
}
