import type { CalibratedRuleAction, CalibrationFit, PackDocument } from '../../schema-types';
import { citationOfSites, roundedCritical as rounded } from './citation-of-sites';

/** The guide of the adviser's own that rules from sites stand in. */
export const CALIBRATED_GUIDE = 'own-calibration';
/** The test that each nutrient's rates go by. */
export const CALIBRATED_ANALYTE = { P2O5: 'P', K2O: 'K' } as const;

/**
 * A guide with a rule from sites: the rate falls evenly from that of a soil with none to nothing at the critical value. A rule for
 * the same crop, nutrient and method is replaced; other rules stay.
 * @param before the guide as it stands in the book
 * @param today YYYY-MM-DD; the edition
 */
export function calibratedGuide(
	{ crop, nutrient, method, samplingDepthIn, rateAtZero, observations }: CalibratedRuleAction,
	{ model, interval }: CalibrationFit,
	criticalPpm: number,
	before: PackDocument | undefined,
	today: string
): PackDocument {
	const critical = rounded(criticalPpm);
	const perPpm = rounded(rateAtZero / critical);
	const analyte = CALIBRATED_ANALYTE[nutrient];
	const half = critical / 2;
	const rule: PackDocument['rules'][number] = {
		id: `${nutrient}-${crop}-${method}`.toLowerCase(),
		title: `${nutrient} by own sites`,
		gives: nutrient,
		school: 'feed-the-crop',
		kind: 'linear-sufficiency',
		unit: 'lb/ac',
		soilTest: { analyte, methods: [method] },
		basis: 'measured',
		citation: citationOfSites(observations, model, critical, interval, 'ppm'),
		parameters: { noneAbovePpm: critical },
		crops: { [crop]: { constant: rateAtZero, perPpm } },
		examples: [
			{
				crop,
				inputs: { soilTest: half, yieldGoal: 100 },
				gives: rateAtZero - perPpm * half,
				tolerance: 0.01,
				source: 'half the critical value: half the rate'
			},
			{
				crop,
				inputs: { soilTest: critical * 1.1, yieldGoal: 100 },
				gives: 0,
				tolerance: 0,
				source: 'above the critical value: none'
			}
		]
	};
	const others = (before?.rules ?? []).filter(({ id }) => id !== rule.id);
	return {
		id: CALIBRATED_GUIDE,
		version: nextVersion(before?.version),
		title: 'Own calibration',
		region: 'own sites',
		edition: `own sites, ${today.slice(0, 4)}`,
		samplingDepthIn,
		rules: [...others, rule]
	};
}

/** 1.0.0, then the middle number up. */
function nextVersion(version: string | undefined): string {
	const [major = 1, minor = -1] = (version ?? '1.-1').split('.').map(Number);
	return `${major}.${minor + 1}.0`;
}
