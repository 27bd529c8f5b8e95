import { amountsIn } from '../units/amount-text';
import { becauseOf, figure, notApplicable, withCaution, type Answer, type Figure } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import type { RuleFigures } from '../packs/rule-kind';
import { formatNumber } from '../units/display';
import { FURROW_BULK_DENSITY } from '../units/factors';
import { partsOf, type RulePart } from './rule-parts';
import type { Site } from './site';
import type { SiteReading } from './site-reading';
import { measuredDensity } from './soil/read-result';
import { whatWouldChange } from './what-would-change';

/**
 * A rule's answer for a site, with its worksheet: what `evaluate` gives as a number.
 * @returns does not apply where the guide is silent on the crop or an input is missing, saying which and what to do
 */
export function applyRule(compiled: CompiledRule, reading: SiteReading): Answer {
	const parts = partsOf(compiled, reading);
	if (!Array.isArray(parts)) return parts;
	if (parts.length === 1 && parts[0]!.name === '') return applyOnce(compiled, reading);
	return compiled.kind.byZone ? meanOfZones(compiled, parts) : sumOfLayers(compiled, parts);
}

/** Mean of the zones by area; by number where one of them has no area. */
function meanOfZones(compiled: CompiledRule, parts: readonly RulePart[]): Answer {
	const { rule } = compiled;
	const rates: Figure[] = [];
	let sum = 0;
	let weights = 0;
	for (const { reading, name, weight } of parts) {
		const answer = applyOnce(compiled, reading);
		if (!answer.applies) return notApplicable(rule.title, `${name}: ${answer.reason}`, answer.remedy);
		sum += answer.value * weight;
		weights += weight;
		rates.push({ ...answer, label: name, cautions: [] });
	}
	const byArea = parts[0]!.reading.site.inSeason.strips!.zones.every(({ areaAcres }) => areaAcres !== undefined);
	return figure({
		label: rule.title,
		value: sum / weights,
		unit: rule.unit,
		formula: byArea ? 'mean of the zones by area' : 'mean of the zones, each counted once',
		inputs: rates,
		basis: rule.basis,
		citation: rule.citation,
		cautions: saidIn(parts[0]!.reading.site, rule.cautions)
	});
}

function sumOfLayers(compiled: CompiledRule, parts: readonly RulePart[]): Answer {
	const { rule } = compiled;
	const layers: Figure[] = [];
	for (const { reading, name } of parts) {
		const answer = applyOnce(compiled, reading);
		if (!answer.applies) return answer;
		layers.push({ ...answer, label: name, cautions: [] });
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
		cautions: saidIn(parts[0]!.reading.site, rule.cautions)
	});
}

function applyOnce(compiled: CompiledRule, reading: SiteReading): Answer {
	const { rule, kind } = compiled;
	const { site } = reading;
	const { needs, explain } = compiled.forCrop(site.crop.id)!;
	const figures: Partial<RuleFigures> = {};
	for (const name of needs) {
		const input = reading.input(name, compiled);
		if (!input.applies) return becauseOf(input, rule.title);
		figures[name] = input;
	}
	const organicMatter = reading.input('organicMatter', compiled);
	if (organicMatter.applies) figures.organicMatter = organicMatter;
	const answer = explain(figures as RuleFigures);
	if (!answer.applies) return answer;
	const cautions = saidIn(site, answer.cautions);
	const full = { ...answer, cautions, wouldChange: whatWouldChange(compiled, site, figures) };
	const density = kind.byFurrowSlice ? measuredDensity(site.soil.layers[0]!) : undefined;
	return density === undefined ? full : withCaution(full, ownWeightText(density));
}

/** Cautions of a guide with their amounts in the reader's units. */
function saidIn({ units }: Site, cautions: readonly string[] = []): string[] {
	return cautions.map((text) => amountsIn(units, text));
}

/** Which weight of soil a rule went by where another was measured, and why. */
function ownWeightText(density: number): string {
	return `The guide’s own weight of soil is used (${formatNumber(FURROW_BULK_DENSITY, 'g/cm3')} g/cm3), not the measured ${formatNumber(density, 'g/cm3')} g/cm3, because its numbers were found with it.`;
}
