import { figure, notApplicable, withCaution, type Answer, type Figure, type NotApplicable } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import type { RuleFigures } from '../packs/rule-kind';
import { formatNumber } from '../units/display';
import { FURROW_BULK_DENSITY } from '../units/factors';
import { measuredDensity } from './soil/read-result';
import { ORGANIC_PERCENT, readOrganicMatter } from './soil/organic-matter';
import { sitesByLayer } from './layers-to-lime';
import { readSoilPh } from './soil/ph-scale';
import type { Site } from './site';
import { scaleOf, type InputReaders } from './site-inputs';
import { whatWouldChange } from './what-would-change';

/**
 * A rule's answer for a site, with its worksheet.
 * @returns does not apply where the guide is silent on the crop or an input is missing, saying which and what to do
 */
export function applyRule(compiled: CompiledRule, site: Site, readers: Partial<InputReaders>): Answer {
	const { rule, kind } = compiled;
	if (compiled.parametersFor(site.crop.id) === undefined) {
		return notApplicable(
			rule.title,
			`this guide says nothing about ${site.crop.name.toLowerCase()}`,
			`Choose another guide, or add ${site.crop.name.toLowerCase()} to a copy of it.`
		);
	}
	const refused = refusedOutright(compiled, site);
	if (refused) return refused;
	if (kind.byLayer) return sumOverLayers(compiled, site, readers);
	if (kind.byZone && site.inSeason.strips) return meanOverZones(compiled, site, readers);
	return applyOnce(compiled, site, readers);
}

/** Why a rule says nothing on this ground whatever its inputs: on organic soil the lime lines of mineral soil do not hold. */
export function refusedOutright({ rule }: CompiledRule, { layers }: Site): NotApplicable | undefined {
	if (rule.gives !== 'lime') return undefined;
	const organicMatter = readOrganicMatter(layers);
	if (!organicMatter.applies || organicMatter.value <= ORGANIC_PERCENT) return undefined;
	return notApplicable(
		'lime',
		`organic matter of ${formatNumber(organicMatter.value, '%')} % makes this an organic soil, and the lime lines were made for mineral soils`,
		'On organic soil lime only well below pH 5.3 in water, by a guide of your own: there is little aluminium to fear.'
	);
}

/** Mean of the zones by area; by number where one of them has no area. */
function meanOverZones(compiled: CompiledRule, site: Site, readers: Partial<InputReaders>): Answer {
	const { rule } = compiled;
	const { zones } = site.inSeason.strips!;
	const byArea = zones.every(({ areaAcres }) => areaAcres !== undefined);
	const rates: Figure[] = [];
	let sum = 0;
	let weights = 0;
	for (const zone of zones) {
		const answer = applyOnce(compiled, { ...site, zone }, readers);
		if (!answer.applies) return notApplicable(rule.title, `${zone.name}: ${answer.reason}`, answer.remedy);
		const weight = byArea ? zone.areaAcres! : 1;
		sum += answer.value * weight;
		weights += weight;
		rates.push({ ...answer, label: zone.name, cautions: [] });
	}
	return figure({
		label: rule.title,
		value: sum / weights,
		unit: rule.unit,
		formula: byArea ? 'mean of the zones by area' : 'mean of the zones, each counted once',
		inputs: rates,
		basis: rule.basis,
		citation: rule.citation,
		cautions: rule.cautions ?? []
	});
}

function applyOnce(compiled: CompiledRule, site: Site, readers: Partial<InputReaders>): Answer {
	const { rule, kind } = compiled;
	const parameters = compiled.parametersFor(site.crop.id);
	const figures: Partial<RuleFigures> = {};
	for (const name of kind.needs(parameters)) {
		const reader = readers[name];
		const input = reader
			? reader(site, compiled)
			: notApplicable(name, `${name} is not known here`, 'Correct the pack.');
		if (!input.applies) return notApplicable(rule.title, input.reason, input.remedy);
		figures[name] = input;
	}
	const organicMatter = readers.organicMatter?.(site, compiled);
	if (organicMatter?.applies) figures.organicMatter = organicMatter;
	const answer = kind.explain(parameters, figures as RuleFigures, rule);
	if (!answer.applies) return answer;
	const full = { ...answer, wouldChange: whatWouldChange(compiled, site.crop.id, figures) };
	const density = kind.byFurrowSlice ? measuredDensity(site.layers[0]!) : undefined;
	return density === undefined ? full : withCaution(full, ownWeightText(density));
}

/** Which weight of soil a rule went by where another was measured, and why. */
function ownWeightText(density: number): string {
	return `The guide’s own factor is used (2,000,000 lb of soil in 6 2/3 in, ${formatNumber(FURROW_BULK_DENSITY, 'g/cm3')} g/cm3), not the measured ${formatNumber(density, 'g/cm3')} g/cm3, because its numbers were found with it.`;
}

function sumOverLayers(compiled: CompiledRule, site: Site, readers: Partial<InputReaders>): Answer {
	const { rule } = compiled;
	const layers: Figure[] = [];
	for (const one of sitesByLayer(site, compiled)) {
		const answer = applyOnce(compiled, one, readers);
		if (!answer.applies) return answer;
		layers.push({ ...answer, label: one.layers[0]!.depthText, cautions: [] });
	}
	if (layers.length === 0) {
		const soilPh = readSoilPh(site.layers, scaleOf(compiled));
		if (!soilPh.applies) return notApplicable(rule.title, soilPh.reason, soilPh.remedy);
		return notApplicable(rule.title, 'no layer above the depth to be limed gives a pH', 'Lime to a greater depth.');
	}
	const value = layers.reduce((sum, layer) => sum + layer.value, 0);
	return figure({
		label: rule.title,
		value,
		unit: rule.unit,
		formula: value > 0 ? 'sum of the layers' : 'no layer is below the trigger: no lime',
		inputs: layers,
		basis: rule.basis,
		citation: rule.citation,
		cautions: rule.cautions ?? []
	});
}
