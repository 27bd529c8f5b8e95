import { figure, notApplicable, type Answer } from '../figure/figure';
import { siteInputs, type InputReaders } from '../reading/site-inputs';
import type { Site } from '../reading/site';
import { readEffectiveFraction, readLimeDepth } from './lime/liming-material';
import { readCredits } from './nitrogen/credits';
import { readPlacedNitrogen } from './nitrogen/placed-programme';
import { readRootZoneNitrate } from './nitrogen/root-zone-nitrate';
import { readCriticalNitrate, readSidedressNitrate } from './nitrogen/in-season/sidedress-nitrate';
import { readEfficiency, readYieldRich, readYieldWithout } from './nitrogen/in-season/strip-yields';
import { readLeastDressing, readTillers } from './nitrogen/in-season/tiller-count';
import { readTimingFactor } from './nitrogen/timing-factor';

/** How every input of a rate rule is found on a site. */
export const inputReaders: InputReaders = {
	...siteInputs,
	credits: readCredits,
	effectiveFraction: readEffectiveFraction,
	limeDepthIn: readLimeDepth,
	grainPrice: readGrainPrice,
	nitrogenPrice: readNitrogenPrice,
	rootZoneNitratePpm: readRootZoneNitrate,
	timingFactor: readTimingFactor,
	placedNitrogen: readPlacedNitrogen,
	sidedressNitratePpm: readSidedressNitrate,
	criticalNitratePpm: readCriticalNitrate,
	tillersPerFt2: readTillers,
	leastDressing: readLeastDressing,
	yieldWithout: readYieldWithout,
	yieldRich: readYieldRich,
	nitrogenEfficiency: readEfficiency
};

function readGrainPrice({ crop, prices }: Site): Answer {
	const label = `price of ${crop.name.toLowerCase()}`;
	if (!prices.grain) return notApplicable(label, `no ${label} is known`, 'Enter prices for this year.');
	return figure({
		label,
		value: prices.grain,
		unit: `$ per ${crop.yieldUnit.replace('/ac', '')}`,
		basis: 'adviser'
	});
}

function readNitrogenPrice({ prices }: Site): Answer {
	const label = 'price of nitrogen';
	if (prices.nitrogen === undefined) {
		return notApplicable(label, 'no price of nitrogen is known', 'Enter prices for this year.');
	}
	return figure({ label, value: prices.nitrogen, unit: '$ per lb', basis: 'adviser' });
}
