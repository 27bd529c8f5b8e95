import { economicResponse } from './response/economic-response';
import { parametersOf } from '../../packs/parameters-of';
import { figure, type Answer, type Figure } from '../../figure/figure';
import { lessCredits } from '../../packs/less-credits';
import type { CompiledRule } from '../../packs/pack';
import { applyRule } from '../../reading/apply-rule';
import type { Site } from '../../reading/site';
import type { SiteReading } from '../../reading/site-reading';
import type { NitrogenPass, Rate } from '../../schema-types';
import { inSystem, type UnitSystem } from '../../units/rate-units';
import { nitrogenBalance } from './balance';
import { objectivesOf } from './response/economic-response';
import { readYieldRich } from './in-season/strip-yields';

type Parts = Pick<Rate, 'objectives' | 'response' | 'seasonTotal' | 'zones' | 'stands'>;

/** What stands around a rate of nitrogen: the objectives of its curve, what it covers, its zones. */
export function nitrogenParts(compiled: CompiledRule, reading: SiteReading, units: UnitSystem): Parts {
	const { kind } = compiled;
	const { site } = reading;
	if (kind.kind === 'economic-response') return curveParts(compiled, reading, units);
	if (kind.covers === undefined) return {};
	if (kind.covers === 'for this dressing') return { stands: kind.covers };
	const rate = applyRule(compiled, reading);
	if (!rate.applies) return { stands: kind.covers };
	const testedOn = kind.test && site.inSeason[kind.test]?.date;
	return {
		stands: kind.covers,
		seasonTotal: inSystem(withApplied(rate, site, testedOn), units),
		...(kind.byZone ? { zones: zonesOf(rate, site, testedOn, units) } : {})
	};
}

function curveParts(compiled: CompiledRule, reading: SiteReading, units: UnitSystem): Parts {
	const p = parametersOf(economicResponse, compiled, reading.site.crop.id);
	if (p === undefined) return {};
	const [grain, nitrogen] = [reading.input('grainPrice', compiled), reading.input('nitrogenPrice', compiled)];
	const { mostYield, mostProfit, leastLeft } = objectivesOf(p, grain, nitrogen, compiled.rule);
	const credits = reading.input('credits', compiled);
	const net = (objective: Answer) => inSystem(credits.applies ? lessCredits(objective, credits) : objective, units);
	return {
		objectives: { mostYield: net(mostYield), mostProfit: net(mostProfit), leastLeft: net(leastLeft) },
		response: { curve: p.curve, lowestRate: p.lowestRate, highestRate: p.highestRate }
	};
}

/** What was applied before a rate that was found in season, and that rate. */
function withApplied(rate: Figure, { programme = [] }: Site, testedOn: string | undefined): Figure {
	const parts = programme.filter((pass) => isBefore(pass, testedOn));
	const before = figure({
		label: 'applied before',
		value: parts.reduce((sum, { nitrogen }) => sum + nitrogen, 0),
		unit: 'lb/ac',
		formula: parts.length > 0 ? 'sum of the passes before the test' : 'no pass before the test',
		inputs: parts.map(({ label = 'pass', nitrogen, applied }) =>
			figure({
				label: applied ? label : `${label} (dated before the test, not recorded as applied)`,
				value: nitrogen,
				unit: 'lb/ac',
				basis: 'adviser'
			})
		),
		basis: 'adviser'
	});
	return figure({
		label: `${rate.label}, with what was applied`,
		value: before.value + rate.value,
		unit: rate.unit,
		formula: 'applied before + from now on',
		inputs: [before, rate],
		basis: rate.basis,
		citation: rate.citation
	});
}

/** By its day where both days are known, else by what was booked. */
function isBefore({ date, applied }: NitrogenPass, testedOn: string | undefined): boolean {
	return date === undefined || testedOn === undefined ? applied === true : date < testedOn;
}

function zonesOf(mean: Figure, site: Site, testedOn: string | undefined, units: UnitSystem): Rate['zones'] {
	const zones = site.inSeason.strips?.zones ?? [];
	return mean.inputs.map((rate, at) => {
		const yieldRich = readYieldRich({ ...site, zone: zones[at] });
		const balance = yieldRich.applies
			? nitrogenBalance(site.crop, withApplied(rate, site, testedOn), yieldRich)
			: yieldRich;
		return { name: rate.label, rate: inSystem(rate, units), balance: inSystem(balance, units) };
	});
}
