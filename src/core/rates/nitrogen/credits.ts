import { entriesOf } from '../../check/typed-object';
import { sharedParameters } from '../../packs/parameters-of';
import type { FromSchema } from 'json-schema-to-ts';
import { broughtByWater } from '../../water/delivered';
import { broughtInYear } from '../../water/irrigation';
import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import { isSandy } from '../../reading/soil/light-soil';
import { readOrganicMatter } from '../../reading/soil/organic-matter';
import { soilNitrate, soilSulfate } from '../../reading/soil/soil-pounds';
import type { Site } from '../../reading/site';

/**
 * The credits of a guide, so that nothing is credited twice. A previous crop, the soil and sulfur in water are credited where the guide
 * says so. Nitrogen that is brought to the field comes off every nitrogen rate, unless the guide says that its numbers hold it (false).
 */
export const creditParameters = {
	type: 'object',
	additionalProperties: false,
	properties: {
		previousCrop: {
			type: 'object',
			description: 'lb N/ac by previous crop; a crop not listed earns none',
			additionalProperties: { type: 'number', minimum: 0 }
		},
		soilNitrateDepthIn: {
			type: 'number',
			exclusiveMinimum: 0,
			description: 'nitrate-N from the surface to this depth counts in full'
		},
		assumedNitrate: {
			type: 'object',
			additionalProperties: false,
			required: ['medium', 'sandy', 'afterFallow'],
			description: 'lb N/ac that the soil is taken to hold where no nitrate test to soilNitrateDepthIn tells',
			properties: {
				medium: { type: 'number', minimum: 0, description: 'lb/ac after a normal crop' },
				sandy: { type: 'number', minimum: 0, description: 'lb/ac on sandy soil' },
				afterFallow: { type: 'number', minimum: 0, description: 'lb/ac after fallow' }
			}
		},
		soilSulfateDepthIn: {
			type: 'number',
			exclusiveMinimum: 0,
			description: 'sulfate-S from the surface to this depth counts in full'
		},
		legumeCover: {
			type: 'boolean',
			description: 'what a cover crop of legumes leaves, by its stand; false where the rate holds it already'
		},
		manure: {
			type: 'boolean',
			description: 'what manure of this and earlier years makes available; false where the rate holds it already'
		},
		irrigationNitrate: {
			type: 'boolean',
			description: 'nitrate in the water of irrigation; false where the rate holds it already'
		},
		irrigationSulfate: { type: 'boolean', description: 'sulfur of the sulfate in the water of irrigation' },
		starter: {
			type: 'boolean',
			description: 'a starter that is no pass of the plan; false where the rate holds it already'
		},
		organicMatter: {
			type: 'object',
			additionalProperties: false,
			required: ['lbPerPercent'],
			properties: {
				lbPerPercent: { type: 'number', minimum: 0, description: 'lb/ac for each % of organic matter' },
				mostPercent: { type: 'number', exclusiveMinimum: 0, description: 'organic matter counts to this at most' }
			}
		}
	}
} as const;

type Credits = FromSchema<typeof creditParameters>;

/**
 * The sum of a guide's credits, lb/ac of nitrogen or sulfur, each credit a line of its own.
 * @returns does not apply where the guide counts on a test that was not made
 */
export function readCredits(site: Site, compiled: CompiledRule): Answer {
	const { rule } = compiled;
	const { credits: allowed = {} } = sharedParameters<{ credits: Credits }>(compiled, site.crop.id);
	const lines: Figure[] = [];
	const cautions: string[] = [];
	// A guide that knows no credits at all is silent only where there would be none.
	const leavesMuch = rule.gives === 'N' && HIGH_CREDIT[site.previousCrop ?? ''] !== undefined;
	if (allowed.previousCrop ?? leavesMuch) {
		const line = previousCropCredit(allowed.previousCrop ?? {}, site, rule);
		if (line.applies) lines.push(line);
		else cautions.push(`${line.reason}; no credit is taken.`);
	}
	if (allowed.soilNitrateDepthIn !== undefined) {
		const nitrate = soilNitrate(site.soil, allowed.soilNitrateDepthIn);
		if (!nitrate.applies && !allowed.assumedNitrate) return nitrate;
		lines.push(nitrate.applies ? nitrate : assumedNitrate(allowed.assumedNitrate!, site));
	}
	if (allowed.soilSulfateDepthIn !== undefined) {
		const sulfate = soilSulfate(site.soil, allowed.soilSulfateDepthIn);
		if (!sulfate.applies) return sulfate;
		lines.push(sulfate);
	}
	if (allowed.organicMatter) {
		const line = organicMatterCredit(allowed.organicMatter, site, rule);
		if (!line.applies) return line;
		lines.push(line);
	}
	if (rule.gives === 'N') {
		if (allowed.legumeCover !== false && site.coverNitrogen?.applies === false) {
			cautions.push(`The legume cover crop is not credited: ${site.coverNitrogen.reason}.`);
		}
		lines.push(...broughtNitrogen(site, allowed));
	}
	if (allowed.irrigationSulfate) lines.push(...broughtByIrrigation(site, 'S'));
	return figure({
		label: 'credits',
		value: lines.reduce((sum, line) => sum + line.value, 0),
		unit: 'lb/ac',
		formula: lines.length > 0 ? 'sum of the credits the guide allows' : 'none apply here',
		inputs: lines,
		basis: rule.basis,
		citation: rule.citation,
		cautions
	});
}

/** What the soil is taken to hold where nobody measured it. */
function assumedNitrate(
	{ medium, sandy, afterFallow }: NonNullable<Credits['assumedNitrate']>,
	{ field, previousCrop }: Site
): Figure {
	const fallow = previousCrop === 'fallow';
	const light = isSandy(field.textureClass);
	return figure({
		label: 'nitrate N in the soil, assumed',
		value: fallow ? afterFallow : light ? sandy : medium,
		unit: 'lb/ac',
		formula: fallow ? 'usual after fallow' : light ? 'usual on sandy soil' : 'usual after a normal crop',
		basis: 'practice',
		cautions: [
			'No nitrate test tells what the soil holds. After a dry year or manure it can be far more: test, or write your own rate.'
		]
	});
}

/** What crops leave behind that many guides credit highly: common practice. */
const HIGH_CREDIT: Partial<Record<string, string>> = {
	alfalfa: 'alfalfa leaves from 0 under a thin stand to 150 lb N/ac under a thick one'
};

function previousCropCredit(pounds: Record<string, number>, site: Site, rule: CompiledRule['rule']): Answer {
	const label = 'previous crop';
	if (site.previousCrop === undefined) {
		return notApplicable(label, 'The previous crop is not named', 'Name the crop that stood here last year.');
	}
	const name = site.previousCrop.replace('-', ' ');
	const credit = pounds[site.previousCrop];
	if (credit === undefined) {
		const much = HIGH_CREDIT[site.previousCrop];
		return notApplicable(
			label,
			`This guide lists none for ${name}${much ? `, though ${much}` : ''}`,
			'Write your own rate with the reason, or add the credit to a copy of the guide.'
		);
	}
	const much = HIGH_CREDIT[site.previousCrop];
	return figure({
		label: `after ${name}`,
		value: credit,
		unit: 'lb/ac',
		basis: rule.basis,
		citation: rule.citation,
		cautions: much ? [`The credit is for an average stand; ${much}.`] : []
	});
}

/**
 * Nitrogen that reaches the crop beside the passes of the plan, lb N/ac, each source a line: a legume cover crop, manure of this and of
 * earlier years, nitrate in irrigation water, a starter of the grower's own.
 * @param contained sources at false are left out: the rate holds them already
 */
export function broughtNitrogen(site: Site, contained: Credits = {}): Figure[] {
	const { manureN, earlierManureN, starterN } = site.nitrogen;
	const pounds = (label: string, value: number | undefined) =>
		value === undefined ? [] : [figure({ label, value, unit: 'lb/ac', basis: 'adviser' })];
	const lines: Record<'legumeCover' | 'manure' | 'irrigationNitrate' | 'starter', Figure[]> = {
		legumeCover: site.coverNitrogen?.applies ? [site.coverNitrogen] : [],
		manure: [...pounds('manure of this year', manureN), ...pounds('manure of earlier years', earlierManureN)],
		irrigationNitrate: waterNitrate(site),
		starter: pounds('starter outside the plan', starterN)
	};
	return entriesOf(lines).flatMap(([source, own]) => (contained[source] === false ? [] : own));
}

/** Their sum, lb N/ac; undefined where there is none. */
export function allBroughtNitrogen(site: Site): Figure | undefined {
	const inputs = broughtNitrogen(site);
	if (inputs.length === 0) return undefined;
	const value = inputs.reduce((sum, line) => sum + line.value, 0);
	const formula = 'sum of the lines';
	return figure({ label: 'nitrogen beside the passes', value, unit: 'lb/ac', formula, inputs, basis: 'adviser' });
}

function waterNitrate(site: Site): Figure[] {
	const { irrigationIn, irrigationNitratePpm } = site.nitrogen;
	if (irrigationIn === undefined || irrigationNitratePpm === undefined) return broughtByIrrigation(site, 'N');
	return [
		broughtByWater(
			'nitrate in irrigation water',
			figure({ label: 'nitrate-N in the water', value: irrigationNitratePpm, unit: 'ppm', basis: 'adviser' }),
			figure({ label: 'water applied', value: irrigationIn, unit: 'in of water', basis: 'adviser' })
		)
	];
}

function broughtByIrrigation({ irrigation }: Site, nutrient: 'N' | 'S'): Figure[] {
	const answer = irrigation && broughtInYear(irrigation)[nutrient];
	return answer?.applies ? [answer] : [];
}

function organicMatterCredit(
	{ lbPerPercent, mostPercent = Infinity }: NonNullable<Credits['organicMatter']>,
	{ soil }: Site,
	{ basis, citation }: CompiledRule['rule']
): Answer {
	const measured = readOrganicMatter(soil);
	if (!measured.applies) return measured;
	return figure({
		label: 'from organic matter',
		value: Math.min(measured.value, mostPercent) * lbPerPercent,
		unit: 'lb/ac',
		formula: `${lbPerPercent} lb for each %${mostPercent < Infinity ? `, to ${mostPercent} % at most` : ''}`,
		inputs: [measured],
		basis,
		citation
	});
}
