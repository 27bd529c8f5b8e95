import { notApplicable, type Figure, type NotApplicable } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import { formatNumber } from '../units/display';
import { sitesByLayer } from './layers-to-lime';
import type { Site } from './site';
import { noNumbers } from '../packs/rule-kind';
import { numberOf, scaleOf } from './site-inputs';
import type { SiteReading } from './site-reading';
import { isOrganicSoil, readOrganicMatter } from './soil/organic-matter';
import { readSoilPh } from './soil/ph-scale';
import { reportingLimit } from './soil/read-result';

/** A part of a site on which a rule is worked: the whole, one of its layers, or a zone with N-rich and zero-N strips. */
export interface RulePart {
	reading: SiteReading;
	/** Of the layer or zone; empty for the whole. */
	name: string;
	/** By which zones are averaged; layers are summed. */
	weight: number;
}

/**
 * The parts on which a rule is worked, or why it says nothing here whatever its inputs. Every caller goes by this: cells obey
 * what fields obey.
 */
export function partsOf(compiled: CompiledRule, reading: SiteReading): RulePart[] | NotApplicable {
	const { rule, kind } = compiled;
	const { site } = reading;
	if (!compiled.forCrop(site.crop.id)) {
		const crop = site.crop.name.toLowerCase();
		return notApplicable(
			rule.title,
			`this guide has no rate for ${crop}`,
			`Choose another guide, or add ${crop} to a copy of it.`
		);
	}
	const refused = refusedOutright(compiled, site) ?? cannotTell(compiled, reading);
	if (refused) return refused;
	if (kind.byLayer) return layersOf(compiled, reading);
	const { strips } = site.inSeason;
	if (!kind.byZone || !strips) return [{ reading, name: '', weight: 1 }];
	const byArea = strips.zones.every(({ areaAcres }) => areaAcres !== undefined);
	return strips.zones.map((zone) => ({
		reading: reading.of({ ...site, zone }),
		name: zone.name,
		weight: byArea ? zone.areaAcres! : 1
	}));
}

function layersOf(compiled: CompiledRule, reading: SiteReading): RulePart[] | NotApplicable {
	const { site } = reading;
	const sites = sitesByLayer(site, compiled);
	if (sites.length > 0) {
		return sites.map((one) => ({ reading: reading.of(one), name: one.soil.layers[0]!.depthText, weight: 1 }));
	}
	const { title } = compiled.rule;
	const soilPh = readSoilPh(site.soil, scaleOf(compiled));
	if (!soilPh.applies) return notApplicable(title, soilPh.reason, soilPh.remedy);
	return notApplicable(title, 'no layer above the depth to be limed gives a pH', 'Lime to a greater depth.');
}

/** Why a rule says nothing on this ground whatever its inputs: mineral and organic soils have lime rates of their own. */
export function refusedOutright({ rule }: CompiledRule, { soil }: Site): NotApplicable | undefined {
	if (rule.gives !== 'lime') return undefined;
	const organic = isOrganicSoil(soil);
	if (organic === (rule.soils === 'organic')) return undefined;
	if (!organic) {
		return notApplicable('lime', 'this lime rate is for organic soils', 'Use a lime rate for mineral soils.');
	}
	const matter = readOrganicMatter(soil) as Figure;
	return notApplicable(
		'lime',
		`organic matter of ${formatNumber(matter.value, '%')} % makes this an organic soil, and the lime lines were made for mineral soils`,
		'Use a lime rate for organic soils. They need lime only below pH 5.3, and hold little aluminum.'
	);
}

/** Rates this far apart are no different rates, in the rule's unit. */
const SAME_RATE = 0.5;

/**
 * A soil test that the lab reports only as below its limit decides only where both ends of what it may be give the same rate.
 * @returns undefined where they do, and for a measured test
 */
function cannotTell(compiled: CompiledRule, reading: SiteReading): NotApplicable | undefined {
	const rule = compiled.forCrop(reading.site.crop.id)!;
	if (!rule.needs.includes('soilTest')) return undefined;
	const test = reading.input('soilTest', compiled);
	const limit = reportingLimit(test);
	if (limit === undefined) return undefined;
	const numbers = noNumbers();
	for (const name of rule.needs) numbers[name] = numberOf(reading.input(name, compiled));
	const [least, most] = [0, limit].map((soilTest) => rule.evaluate({ ...numbers, soilTest }));
	// An input that is missing says so itself.
	if (!(Math.abs(least! - most!) > SAME_RATE)) return undefined;
	const { label, unit } = test as Figure;
	return notApplicable(
		compiled.rule.title,
		`cannot tell: ${label} is below the lab’s limit of ${formatNumber(limit, unit)} ${unit}, and the rate may be ${formatNumber(Math.min(least!, most!), 'lb/ac')} or ${formatNumber(Math.max(least!, most!), 'lb/ac')}`,
		'Ask for a test with a lower limit.'
	);
}
