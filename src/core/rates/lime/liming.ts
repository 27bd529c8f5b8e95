import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { CompiledRule, PackSet } from '../../packs/pack';
import { rulesGiving } from '../../packs/pack';
import { applyRule } from '../../reading/apply-rule';
import { baseSaturation, cationExchangeCapacity } from '../../reading/cec';
import { readBulkDensity, readClay } from '../../reading/clay-and-density';
import { readOrganicCarbon } from '../../reading/organic-matter';
import { readSoilPh } from '../../reading/ph-scale';
import type { Site } from '../../reading/site';
import { scaleOf, siteInputs } from '../../reading/site-inputs';
import { noNumbers } from '../../packs/rule-kind';
import type { Liming } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { CACO3_T_HA_PER_CMOL, CM_PER_IN, KG_HA_PER_LB_AC, LB_PER_SHORT_TON } from '../../units/factors';
import { inSystem, type UnitSystem } from '../../units/rate-units';
import { inputReaders } from '../input-readers';
import { bufferCapacity } from './buffer-capacity';
import { debtOfNitrogen, debtOfProgramme } from './lime-debt';
import { triggerPh, type Gate } from './lime-gate';
import { readEffectiveFraction, readLimeDepth } from './liming-material';

/** lb CaCO3/ac that leaching and harvests take in a year beside the nitrogen: judgement, stated as such. */
const BACKGROUND_CACO3_LB = 100;
/** What it may be on other ground: judgement. */
const BACKGROUND_SPAN = { low: 50, high: 300 } as const;
/** % of CEC under which lime should bring magnesium, and above which it should not: common practice. */
const MAGNESIUM_PERCENT = { low: 10, high: 20 } as const;
/** Yield is never priced down above this pH: the fall there was of one site. Common practice. */
const NO_GAIN_ABOVE_PH = 6.8;

/** What stands around a lime rate: the material, what it costs, what it brings, how long it lasts. */
export function limingOf(
	compiled: CompiledRule,
	site: Site,
	packs: PackSet,
	prices: { lime?: number; grain?: number },
	units: UnitSystem
): Liming {
	const rate = applyRule(compiled, site, inputReaders);
	const fraction = readEffectiveFraction(site, compiled);
	const years = yearsItLasts(rate, fraction, site);
	return {
		effectiveFraction: fraction,
		pricePerEffectiveTon: pricePerEffectiveTon(fraction, prices.lime),
		kind: limeKind(site),
		payBack: inSystem(payBack(compiled, rate, site, packs, prices, years), units),
		yearsItLasts: years,
		yearsUntilNext: yearsUntilNext(compiled, rate, site, packs)
	};
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
export function limeKind({ layers }: Pick<Site, 'layers'>): Liming['kind'] {
	const share = baseSaturation(layers, cationExchangeCapacity(layers)).Mg;
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
 * Years until what is put on is used up: lb of CaCO3 that act over what crop, nitrogen and background take in a year. The span goes with
 * the background, which soils differ most in. Common practice; illustrative.
 */
function yearsItLasts(rate: Answer, fraction: Answer, site: Site): Answer {
	const label = 'years the lime lasts';
	if (!rate.applies) return notApplicable(label, rate.reason, rate.remedy);
	if (rate.value === 0) return notApplicable(label, 'no lime is called for', 'Test again in two years.');
	if (!fraction.applies) return notApplicable(label, fraction.reason, fraction.remedy);
	const acting = figure({
		label: 'CaCO3 that acts',
		value: rate.value * LB_PER_SHORT_TON * fraction.value,
		unit: 'lb/ac',
		formula: `rate x ${LB_PER_SHORT_TON} x effective fraction`,
		inputs: [rate, fraction],
		basis: 'practice'
	});
	const used = yearlyUse(site);
	const withBackground = (background: number) => acting.value / (used.value - BACKGROUND_CACO3_LB + background);
	const span = [BACKGROUND_SPAN.high, BACKGROUND_SPAN.low].map((lb) =>
		formatNumber(Math.round(withBackground(lb)), 'years')
	);
	return figure({
		label,
		value: acting.value / used.value,
		unit: 'years',
		formula: 'CaCO3 that acts / used up in a year',
		inputs: [acting, used],
		basis: 'practice',
		cautions: [
			`${span[0]} to ${span[1]} years, as ${BACKGROUND_SPAN.high} or ${BACKGROUND_SPAN.low} lb a year leave beside crop and nitrogen.`
		]
	});
}

/** lb of pure CaCO3 per acre that a year uses up: the lime debt of its nitrogen, the background, and what the harvest takes. */
function yearlyUse(site: Site): Figure {
	const debt = yearlyDebt(site);
	const { baseRemoval, name, yieldUnit } = site.crop;
	if (!baseRemoval) {
		return {
			...debt,
			cautions: [...debt.cautions, `What a harvest of ${name.toLowerCase()} takes is not known; it is not counted.`]
		};
	}
	const { basis, citation } = baseRemoval;
	const harvest = figure({
		label: 'taken by the harvest',
		value: baseRemoval.caco3LbPerYield * site.yieldGoal,
		unit: 'lb/ac',
		formula: `${baseRemoval.caco3LbPerYield} lb CaCO3 x yield goal`,
		inputs: [figure({ label: 'yield goal', value: site.yieldGoal, unit: yieldUnit, basis: 'adviser' })],
		basis,
		citation
	});
	return figure({
		label: 'used up in a year',
		value: debt.value + harvest.value,
		unit: 'lb/ac',
		formula: 'lime debt of a year + taken by the harvest',
		inputs: [debt, harvest],
		basis: 'memory'
	});
}

/**
 * Years until pH falls back to the trigger: the pH between over the pH lost in a year, which is nitrogen's lime debt
 * and a stated background (lb CaCO3/ac) over the soil's buffer capacity.
 */
function yearsUntilNext(compiled: CompiledRule, rate: Answer, site: Site, packs: PackSet): Answer {
	const label = 'years until the next lime';
	if (!rate.applies) return notApplicable(label, rate.reason, rate.remedy);
	const target = siteInputs.targetPh(site, compiled);
	const soilPh = readSoilPh(site.layers, scaleOf(compiled));
	if (!target.applies) return notApplicable(label, target.reason, target.remedy);
	if (!soilPh.applies) return notApplicable(label, soilPh.reason, soilPh.remedy);
	const lost = phLostInAYear(site, packs);
	if (!lost.applies) return notApplicable(label, lost.reason, lost.remedy);
	const start = rate.value > 0 ? target : soilPh;
	const { basis, citation } = compiled.rule;
	const trigger = figure({
		label: 'trigger of the guide',
		value: triggerPh(compiled.parametersFor(site.crop.id) as Gate, target.value),
		unit: 'pH',
		basis,
		citation
	});
	return figure({
		label,
		value: Math.max(0, start.value - trigger.value) / lost.value,
		unit: 'years',
		formula: `(${rate.value > 0 ? 'target' : 'soil pH'} - trigger) / pH lost in a year`,
		inputs: [start, trigger, lost],
		basis: 'practice',
		cautions: ['Illustrative: soils differ in what they lose beside the nitrogen.']
	});
}

function phLostInAYear(site: Site, packs: PackSet): Answer {
	const label = 'pH lost in a year';
	const rule = packs.rules.find(({ kind }) => kind.kind === 'buffer-capacity');
	if (!rule) return notApplicable(label, 'no pack gives the buffer capacity of soils', 'Add one.');
	const carbon = readOrganicCarbon(site.layers);
	const clay = readClay(site);
	const density = readBulkDensity(site);
	const depth = readLimeDepth(site);
	for (const input of [carbon, clay, density, depth]) {
		if (!input.applies) return notApplicable(label, input.reason, input.remedy);
	}
	const [c, cl, d, depthIn] = [carbon, clay, density, depth] as Figure[];
	const p = rule.parametersFor(site.crop.id) as { perOrganicCarbon: number; perClay: number };
	const { basis, citation } = rule.rule;
	const capacity = figure({
		label: 'pH buffer capacity',
		value: bufferCapacity(p, c!.value, cl!.value),
		unit: 'cmol/kg per pH',
		formula: `${p.perOrganicCarbon} x organic carbon + ${p.perClay} x clay`,
		inputs: [c!, cl!],
		basis,
		citation
	});
	const debt = yearlyDebt(site);
	const perPh = capacity.value * d!.value * depthIn!.value * CM_PER_IN * CACO3_T_HA_PER_CMOL;
	return figure({
		label,
		value: (debt.value * KG_HA_PER_LB_AC) / 1000 / perPh,
		unit: 'pH a year',
		formula: `CaCO3 t/ha / (capacity x bulk density x depth cm x ${CACO3_T_HA_PER_CMOL})`,
		inputs: [debt, capacity, d!, depthIn!],
		basis: 'practice'
	});
}

/** lb of pure CaCO3 per acre that a year takes: the nitrogen, by its products where they are known, and the background. */
function yearlyDebt({ nitrogenRate, programme }: Site): Figure {
	const background = figure({ label: 'background', value: BACKGROUND_CACO3_LB, unit: 'lb/ac', basis: 'practice' });
	const nitrogen = figure({
		label: nitrogenRate === undefined ? 'nitrogen (none settled on)' : 'nitrogen settled on',
		value: nitrogenRate ?? 0,
		unit: 'lb/ac',
		basis: 'adviser'
	});
	const ofNitrogen = debtOfProgramme(programme) ?? debtOfNitrogen(nitrogen);
	return figure({
		label: 'lime debt of a year',
		value: ofNitrogen.value + BACKGROUND_CACO3_LB,
		unit: 'lb/ac',
		formula: 'nitrogen and background',
		inputs: [ofNitrogen, background],
		basis: 'memory',
		citation: 'Pierre 1933',
		cautions: nitrogenRate === undefined ? ['No nitrogen is settled on; only the background is counted.'] : []
	});
}

/**
 * What liming to the target is worth in a year less its yearly cost, $/ac: (relative yield at target / now - 1)
 * x goal x price - cost / years it lasts. pH is clamped to the yield table and to 6.8. Illustrative: the table is one
 * old rotation on one site (Ohio Special Circular 53, memory).
 */
function payBack(
	compiled: CompiledRule,
	rate: Answer,
	site: Site,
	packs: PackSet,
	{ lime, grain }: { lime?: number; grain?: number },
	years: Answer
): Answer {
	const label = 'what lime brings in a year, less its cost';
	const no = (reason: string, remedy: string) => notApplicable(label, reason, remedy);
	if (!rate.applies) return no(rate.reason, rate.remedy);
	if (rate.value === 0) return no('no lime is called for', 'Test again in two years.');
	if (scaleOf(compiled) !== 'water') return no('the yield table is on pH in water', 'Judge it by the crop.');
	const table = rulesGiving(packs, 'relative-yield').find(({ parametersFor }) => parametersFor(site.crop.id));
	if (!table) return no(`no table gives the yield of ${site.crop.name.toLowerCase()} by pH`, 'Judge it by the crop.');
	const soilPh = readSoilPh(site.layers, 'water');
	const target = siteInputs.targetPh(site, compiled);
	if (!soilPh.applies || !target.applies) return no('soil pH or target is not known', 'Ask the lab for pH.');
	if (grain === undefined)
		return no(`no price for ${site.crop.name.toLowerCase()} is known`, 'Enter prices for this year.');
	if (lime === undefined) return no('no price for lime is known', 'Enter prices for this year.');
	if (!years.applies) return no(years.reason, years.remedy);
	const yieldAt = (name: string, ph: Figure) =>
		figure({
			label: `yield at ${name}`,
			value: table.kind.compute(table.parametersFor(site.crop.id), {
				...noNumbers(),
				soilPh: Math.min(ph.value, NO_GAIN_ABOVE_PH)
			}),
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
	const paidOver = yearly ? 1 : Math.max(1, years.value);
	return figure({
		label,
		value: gain.value - cost.value / paidOver,
		unit: '$/ac',
		formula: yearly
			? 'worth of the yield - cost, paid by one year’s rent'
			: 'worth of the yield - cost / years it lasts (one at least)',
		inputs: [gain, cost, years],
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
