import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { CompiledRule, PackSet } from '../../packs/pack';
import { rulesGiving } from '../../packs/pack';
import { applyRule } from '../../reading/apply-rule';
import { baseSaturation, cationExchangeCapacity } from '../../reading/soil/cec';
import { readSoilPh } from '../../reading/soil/ph-scale';
import { evaluate } from '../../reading/evaluate';
import type { Site } from '../../reading/site';
import type { SiteReading } from '../../reading/site-reading';
import { scaleOf, siteInputs } from '../../reading/site-inputs';
import type { Liming } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { inSystem, type UnitSystem } from '../../units/rate-units';
import { canopyDose } from './canopy-dose';
import { yearsItLasts, yearsUntilNext } from './lime-years';

/** % of CEC under which lime should bring magnesium, and above which it should not: common practice. */
const MAGNESIUM_PERCENT = { low: 10, high: 20 } as const;
/** Nobody pays today for yields later than this, years: common practice. */
const MOST_YEARS = 10;
/** Yield is never priced down above this pH: the fall there was of one site. Common practice. */
const NO_GAIN_ABOVE_PH = 6.8;

/** What stands around a lime rate: the material, what it costs, what it brings, how long it lasts. */
export function limingOf(
	compiled: CompiledRule,
	reading: SiteReading,
	packs: PackSet,
	prices: { lime?: number; grain?: number },
	units: UnitSystem
): Liming {
	const { site } = reading;
	const rate = applyRule(compiled, reading);
	const fraction = reading.input('effectiveFraction', compiled);
	const years = yearsItLasts(rate, fraction, site);
	const dose = canopyDose(rate, site);
	return {
		effectiveFraction: fraction,
		asPureLime: inSystem(asPureLime(rate, fraction), units),
		pricePerEffectiveTon: pricePerEffectiveTon(fraction, prices.lime),
		kind: limeKind(site),
		payBack: inSystem(payBack(compiled, rate, reading, packs, prices, years), units),
		yearsItLasts: years,
		yearsUntilNext: yearsUntilNext(compiled, rate, site, packs),
		...(dose
			? { underCanopy: { perBlockAcre: inSystem(dose.perBlockAcre, units), perPlant: inSystem(dose.perPlant, units) } }
			: {})
	};
}

/** The rate as pure, fine CaCO3: guides whose rates are of limes of their own can be compared by it. */
function asPureLime(rate: Answer, fraction: Answer): Answer {
	if (!rate.applies || !fraction.applies) return rate.applies ? fraction : rate;
	return figure({
		label: 'as pure, fine CaCO3',
		value: rate.value * fraction.value,
		unit: rate.unit,
		formula: 'rate x effective fraction',
		inputs: [rate, fraction],
		basis: 'practice'
	});
}

/** Price of a material for each ton of it that acts; $ per short ton as delivered and spread / effective fraction. */
export function pricePerEffectiveTon(fraction: Answer, price: number | undefined): Answer {
	const label = 'price per effective ton';
	if (!fraction.applies) return notApplicable(label, fraction.reason, fraction.remedy);
	if (price === undefined)
		return notApplicable(label, 'no price for this lime is known', 'Enter prices for this year.');
	return figure({
		label,
		value: price / fraction.value,
		unit: '$ per effective short ton',
		formula: 'price / effective fraction',
		inputs: [figure({ label: 'price, spread', value: price, unit: '$ per short ton', basis: 'adviser' }), fraction],
		basis: 'adviser'
	});
}

/** Dolomitic where magnesium is low, calcitic where it is high: common practice. */
export function limeKind({ soil }: Pick<Site, 'soil'>): Liming['kind'] {
	const share = baseSaturation(soil, cationExchangeCapacity(soil)).Mg;
	if (!share) return { take: 'either', why: 'Magnesium’s share of CEC is not known; ask the lab for Mg and CEC.' };
	const text = `Magnesium is ${formatNumber(share.value, '%')} % of CEC`;
	if (share.value < MAGNESIUM_PERCENT.low) {
		return { take: 'dolomitic', why: `${text}, below ${MAGNESIUM_PERCENT.low}: dolomitic lime brings it along.` };
	}
	if (share.value > MAGNESIUM_PERCENT.high) {
		return { take: 'calcitic', why: `${text}, above ${MAGNESIUM_PERCENT.high}: calcitic lime adds no more.` };
	}
	return { take: 'either', why: `${text}: take the lime that is cheapest per effective ton.` };
}

/**
 * What liming to the target is worth in a year less its yearly cost, $/ac: (relative yield at target / now - 1)
 * x goal x price x share kept as pH falls back - cost / years it lasts, ten at most: more lime than that is paid for and not used. pH is clamped to the yield table and to 6.8. Illustrative: the table is one
 * old rotation on one site (Ohio Special Circular 53, memory).
 */
function payBack(
	compiled: CompiledRule,
	rate: Answer,
	reading: SiteReading,
	packs: PackSet,
	{ lime, grain }: { lime?: number; grain?: number },
	years: Answer
): Answer {
	const label = 'what lime brings in a year, less its cost';
	const { site } = reading;
	const no = (reason: string, remedy: string) => notApplicable(label, reason, remedy);
	if (!rate.applies) return no(rate.reason, rate.remedy);
	if (rate.value === 0) return no('no lime is called for', 'Test again in two years.');
	if (scaleOf(compiled) !== 'water') return no('the yield table is on pH in water', 'Judge it by the crop.');
	const table = rulesGiving(packs, 'relative-yield').find(({ parametersFor }) => parametersFor(site.crop.id));
	if (!table) return no(`no table gives the yield of ${site.crop.name.toLowerCase()} by pH`, 'Judge it by the crop.');
	const soilPh = readSoilPh(site.soil, 'water');
	const target = siteInputs.targetPh(site, compiled);
	if (!soilPh.applies || !target.applies) return no('soil pH or target is not known', 'Ask the lab for pH.');
	if (grain === undefined)
		return no(`no price for ${site.crop.name.toLowerCase()} is known`, 'Enter prices for this year.');
	if (lime === undefined) return no('no price for lime is known', 'Enter prices for this year.');
	if (!years.applies) return no(years.reason, years.remedy);
	const yieldAt = (name: string, ph: Figure) =>
		figure({
			label: `yield at ${name}`,
			value: evaluate(table, reading, { soilPh: Math.min(ph.value, NO_GAIN_ABOVE_PH) }),
			unit: '%',
			formula: `${table.rule.title}; no gain is counted above pH ${NO_GAIN_ABOVE_PH}`,
			inputs: [ph],
			basis: table.rule.basis,
			citation: table.rule.citation
		});
	const now = yieldAt('this pH', soilPh);
	const then = yieldAt('the target', target);
	if (now.value <= 0) return no('the table gives no yield at this pH to hold the gain against', 'Lime first.');
	const goal = siteInputs.yieldGoal(site, compiled) as Figure;
	const price = figure({
		label: 'price of the crop',
		value: grain,
		unit: `$ per ${goal.unit.replace('/ac', '')}`,
		basis: 'adviser'
	});
	const gain = figure({
		label: 'worth of the yield in a year',
		value: Math.max(0, then.value / now.value - 1) * goal.value * grain,
		unit: '$/ac',
		formula: '(yield at target / yield now - 1) x goal x price',
		inputs: [then, now, goal, price],
		basis: 'memory',
		citation: table.rule.citation
	});
	const tonPrice = figure({ label: 'price of lime, spread', value: lime, unit: '$ per short ton', basis: 'adviser' });
	const cost = figure({
		label: 'cost of the lime',
		value: rate.value * lime,
		unit: '$/ac',
		formula: 'rate x price',
		inputs: [rate, tonPrice],
		basis: 'adviser'
	});
	// What is left when a lease of one year ends stays with the owner.
	const yearly = site.field.tenure === 'rented by the year';
	const paidOver = yearly ? 1 : Math.min(MOST_YEARS, Math.max(1, years.value));
	const kept = figure({
		label: 'share of the gain that is kept',
		value: 1 - Math.min(1, paidOver / (2 * Math.max(1, years.value))),
		unit: '',
		formula: `1 - years counted / (2 x years it lasts): pH falls back evenly, at most ${MOST_YEARS} years are counted`,
		inputs: [years],
		basis: 'practice'
	});
	return figure({
		label,
		value: gain.value * kept.value - cost.value / paidOver,
		unit: '$/ac',
		formula: yearly
			? 'worth of the yield x share kept - cost, paid by one year’s rent'
			: `worth of the yield x share kept - cost / years it lasts (1 to ${MOST_YEARS})`,
		inputs: [gain, kept, cost, years],
		basis: 'memory',
		citation: table.rule.citation,
		cautions: [
			'Illustrative: one old rotation on one site gives the yields, and the goal stands for the yield now.',
			...(yearly
				? [
						'Rented by the year: lime that lasts longer stays with the owner; share its cost, or have it written into the lease.'
					]
				: [])
		]
	});
}
