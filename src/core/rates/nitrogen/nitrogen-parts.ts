import { figure, type Answer } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import { applyRule } from '../../reading/apply-rule';
import type { Site } from '../../reading/site';
import type { EconomicResponse, NitrogenPass, Rate } from '../../schema-types';
import { inSystem, type UnitSystem } from '../../units/rate-units';
import { inputReaders } from '../input-readers';
import { objectivesOf } from './response/economic-response';

type Parts = Pick<Rate, 'objectives' | 'response' | 'seasonTotal' | 'zones' | 'stands'>;

/** What stands around a rate of nitrogen: the objectives of its curve, what it covers, its zones. */
export function nitrogenParts(compiled: CompiledRule, site: Site, units: UnitSystem): Parts {
	const { kind } = compiled;
	if (kind.kind === 'economic-response') return curveParts(compiled, site, units);
	if (kind.covers === undefined) return {};
	const rate = applyRule(compiled, site, inputReaders);
	const zones = kind.byZone && rate.applies ? { zones: zonesOf(rate, units) } : {};
	if (kind.covers === 'for this dressing') return { stands: kind.covers };
	const total = rate.applies ? { seasonTotal: inSystem(withApplied(rate, site.programme), units) } : {};
	return { stands: kind.covers, ...total, ...zones };
}

function curveParts(compiled: CompiledRule, site: Site, units: UnitSystem): Parts {
	const p = compiled.parametersFor(site.crop.id) as EconomicResponse | undefined;
	if (p === undefined) return {};
	const [grain, nitrogen] = [inputReaders.grainPrice(site, compiled), inputReaders.nitrogenPrice(site, compiled)];
	const { mostYield, mostProfit, leastLeft } = objectivesOf(p, grain, nitrogen, compiled.rule);
	return {
		objectives: {
			mostYield: inSystem(mostYield, units),
			mostProfit: inSystem(mostProfit, units),
			leastLeft: inSystem(leastLeft, units)
		},
		response: { curve: p.curve, lowestRate: p.lowestRate, highestRate: p.highestRate }
	};
}

/** What was applied before a rate that was found in season, and that rate. */
function withApplied(rate: Answer & { applies: true }, programme: readonly NitrogenPass[] = []): Answer {
	const applied = programme.filter((pass) => pass.applied);
	const before = figure({
		label: 'applied so far',
		value: applied.reduce((sum, { nitrogen }) => sum + nitrogen, 0),
		unit: 'lb/ac',
		formula: applied.length > 0 ? 'sum of the passes applied' : '',
		inputs: applied.map(({ label, nitrogen }) =>
			figure({ label: label ?? 'pass', value: nitrogen, unit: 'lb/ac', basis: 'adviser' })
		),
		basis: 'adviser'
	});
	return figure({
		label: `${rate.label}, with what was applied`,
		value: before.value + rate.value,
		unit: rate.unit,
		formula: 'applied so far + from now on',
		inputs: [before, rate],
		basis: rate.basis,
		citation: rate.citation
	});
}

function zonesOf(mean: Answer & { applies: true }, units: UnitSystem): Rate['zones'] {
	return mean.inputs.map((zone) => ({ name: zone.label, rate: inSystem(zone, units) }));
}
