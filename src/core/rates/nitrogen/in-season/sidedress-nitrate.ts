import { depthText } from '../../../units/length-text';
import { quantityIn } from '../../../units/amount-text';
import { knownParameters } from '../../../packs/parameters-of';
import { figure, notApplicable, type Answer } from '../../../figure/figure';
import type { CompiledRule } from '../../../packs/pack';
import type { Site } from '../../../reading/site';
import { longDate } from '../../../units/day-text';
import { nitrateThreshold } from './nitrate-threshold';

const LABEL = 'pre-sidedress nitrate-N';
/** A core that is an inch longer or shorter is the same test. */
const DEPTH_SLACK_IN = 1;

/**
 * Nitrate-N of the test in the crop, ppm.
 * @returns does not apply without a test, on another depth, on a leaf test, or where a fresh band was sampled
 */
export function readSidedressNitrate(site: Site, compiled: CompiledRule): Answer {
	const { depthIn, leastHeightIn, mostHeightIn } = knownParameters(nitrateThreshold, compiled, site.crop.id);
	const test = site.inSeason.nitrate;
	const inches = (one: number | readonly [number, number]) => quantityIn(site.units, one, 'in');
	const when = `Take soil from ${inches([0, depthIn])} when the crop is ${inches([leastHeightIn, mostHeightIn])} tall.`;
	if (!test)
		return notApplicable(LABEL, 'no pre-sidedress nitrate test is recorded', when, 'a pre-sidedress nitrate test');
	if (test.from === 'leaf') {
		return notApplicable(LABEL, 'a leaf test tells what the plant has, not what the soil will supply', when);
	}
	if (test.freshBand) {
		return notApplicable(
			LABEL,
			'a fresh fertilizer band lies in the sampled zone, so the test says nothing of the soil',
			'Go by the planned rate, or sample ground without a band.'
		);
	}
	if (test.date !== undefined && !isOfSeason(test.date, site.cropYear)) {
		const reason = `the test of ${longDate(test.date)} does not come from the standing crop of ${site.cropYear}`;
		return notApplicable(LABEL, reason, when);
	}
	if (Math.abs(test.depthIn - depthIn) > DEPTH_SLACK_IN) {
		return notApplicable(
			LABEL,
			`the test was taken to ${inches(test.depthIn)}, and this one is to ${inches(depthIn)}`,
			when
		);
	}
	const { cropHeightIn } = test;
	const offHeight = cropHeightIn !== undefined && (cropHeightIn < leastHeightIn || cropHeightIn > mostHeightIn);
	return figure({
		label: `${LABEL}, ${depthText(0, test.depthIn, site.units)}`,
		value: test.nitratePpm,
		unit: 'ppm',
		basis: 'measured',
		cautions: offHeight
			? [`The crop stood ${inches(cropHeightIn)} tall; the test is made for ${inches([leastHeightIn, mostHeightIn])}.`]
			: []
	});
}

/** From April to August a summer crop may stand at the height that the test asks for, in the year of the crop; common practice. */
function isOfSeason(date: string, cropYear: number): boolean {
	const month = Number(date.slice(5, 7));
	return month >= 4 && month <= 8 && Number(date.slice(0, 4)) >= cropYear;
}

/** The critical level, ppm: the lower one after heavy rain or on manured ground, in slope and cut-off alike. */
export function readCriticalNitrate(site: Site, compiled: CompiledRule): Answer {
	const { rule } = compiled;
	const { criticalPpm, wetCriticalPpm } = knownParameters(nitrateThreshold, compiled, site.crop.id);
	const wet = site.inSeason.nitrate?.wetOrManured === true;
	return figure({
		label: wet ? 'critical level after heavy rain or manure' : 'critical level',
		value: wet ? wetCriticalPpm : criticalPpm,
		unit: 'ppm',
		basis: rule.basis,
		citation: rule.citation
	});
}
