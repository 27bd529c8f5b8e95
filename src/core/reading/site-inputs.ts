import { sharedParameters } from '../packs/parameters-of';
import { figure, notApplicable, withCaution, type Answer } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import type { InputName } from '../packs/rule-kind';
import type { PhScale } from '../schema-types';
import { plantAge } from '../ground/block/block-age';
import { plantsPerAcre } from '../ground/block/plant-density';
import { CM_PER_IN } from '../units/factors';
import { cationExchangeCapacity } from './soil/cec';
import { readBulkDensity, readClay } from './soil/clay-and-density';
import { readOrganicCarbon, readOrganicMatter } from './soil/organic-matter';
import { readSoilPh } from './soil/ph-scale';
import { readResult } from './soil/read-result';
import type { Site } from './site';
import { readLeafTest } from './leaf/leaf-test';
import { readSoilTest, sampledDepth } from './soil/soil-test';
import { siteTargetPh } from './target-ph';

/** How each input that a rule may ask for is found on a site. */
export type InputReaders = Record<InputName, (site: Site, compiled: CompiledRule) => Answer>;

type SiteInput =
	| 'soilTest'
	| 'cec'
	| 'organicMatter'
	| 'organicCarbon'
	| 'clay'
	| 'bulkDensity'
	| 'layerThicknessCm'
	| 'sampledDepthIn'
	| 'yieldGoal'
	| 'residueShare'
	| 'nitrogenRate'
	| 'soilPh'
	| 'bufferPh'
	| 'targetPh'
	| 'plantAge'
	| 'plantsPerAcre'
	| 'leafTest';

/** The inputs that come from the report and the goal alone. */
export const siteInputs: Pick<InputReaders, SiteInput> = {
	soilTest: readSoilTest,
	cec: ({ soil }) => cationExchangeCapacity(soil),
	organicMatter: ({ soil }) => readOrganicMatter(soil),
	organicCarbon: ({ soil }) => readOrganicCarbon(soil),
	clay: readClay,
	bulkDensity: readBulkDensity,
	layerThicknessCm: ({ soil }) =>
		figure({
			label: `thickness of ${soil.layers[0]!.depthText}`,
			value: soil.layers[0]!.thicknessIn * CM_PER_IN,
			unit: 'cm',
			basis: 'measured'
		}),
	sampledDepthIn: sampledDepth,
	yieldGoal: ({ yieldGoal, crop }) =>
		figure({ label: 'yield goal', value: yieldGoal, unit: crop.yieldUnit, basis: 'adviser' }),
	residueShare: ({ residueShare }) =>
		figure({ label: 'share of straw or stover taken off', value: residueShare, unit: '', basis: 'adviser' }),
	nitrogenRate: readNitrogenRate,
	soilPh: ({ soil }, compiled) => readSoilPh(soil, scaleOf(compiled)),
	bufferPh: ({ soil }, { rule }) => readResult(soil, 'bufferPh', rule.soilTest?.methods),
	targetPh: readTargetPh,
	plantAge: ({ block, cropYear }) => (block ? plantAge(block, cropYear) : withoutBlock('year of its life')),
	plantsPerAcre: ({ block, areaAc }) => (block ? plantsPerAcre(block, areaAc) : withoutBlock('plants')),
	leafTest: readLeafTest
};

function withoutBlock(label: string): Answer {
	return notApplicable(
		label,
		'the block is not described',
		'Describe the block under Ground: year planted and spacings.'
	);
}

/** The pH scale a rule reads on; packs that read pH name theirs. */
export function scaleOf({ pack }: CompiledRule): PhScale {
	return pack.phScale ?? 'water';
}

/** The adviser's target, else the guide's own, else the crop's, all on the guide's scale. */
function readTargetPh(site: Site, compiled: CompiledRule): Answer {
	const scale = scaleOf(compiled);
	const { target } = sharedParameters<{ target: { ph: number } }>(compiled, site.crop.id);
	const isSet = site.targetPh !== undefined && (site.targetPhScale ?? 'water') === scale;
	if (!target || isSet) return siteTargetPh(site, scale);
	const { basis, citation } = compiled.rule;
	return figure({ label: 'target pH of the guide', value: target.ph, unit: 'pH', basis, citation });
}

/** A part of the season by days from planting. */
interface StageDays {
	name: string;
	fromDay?: number;
	beforeDay?: number;
}

/**
 * The nitrogen settled on; for a rule of one stage that of the passes in it, or all of it, with a caution, where no passes are planned.
 */
function readNitrogenRate({ nitrogenRate, programme, crop }: Site, compiled: CompiledRule): Answer {
	if (nitrogenRate === undefined) {
		return notApplicable(
			'nitrogen',
			'no nitrogen rate is settled on',
			'Choose the nitrogen rate first.',
			'a nitrogen rate'
		);
	}
	const { stage } = sharedParameters<{ stage: StageDays }>(compiled, crop.id);
	const all = figure({ label: 'nitrogen settled on', value: nitrogenRate, unit: 'lb/ac', basis: 'adviser' });
	if (!stage) return all;
	if (!programme || programme.length === 0) {
		return withCaution(all, `No passes are planned: this is the sulfur if all of the nitrogen goes on ${stage.name}.`);
	}
	const { fromDay = -Infinity, beforeDay = Infinity } = stage;
	const parts = programme.filter(
		({ daysFromPlanting = 0 }) => daysFromPlanting >= fromDay && daysFromPlanting < beforeDay
	);
	return figure({
		label: `nitrogen that goes on ${stage.name}`,
		value: parts.reduce((sum, { nitrogen }) => sum + nitrogen, 0),
		unit: 'lb/ac',
		formula: 'sum of the passes of this stage',
		inputs: parts.map(({ label, nitrogen }) =>
			figure({ label: label ?? 'pass', value: nitrogen, unit: 'lb/ac', basis: 'adviser' })
		),
		basis: 'adviser'
	});
}

/** The value of a figure, or NaN for a reason why there is none: how `compute`, and nothing else, sees an input. */
export function numberOf(answer: Answer): number {
	return answer.applies ? answer.value : NaN;
}
