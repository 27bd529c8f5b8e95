import { amountText } from '../../units/amount-text';
import { knownParameters, sharedParameters } from '../../packs/parameters-of';
import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { CompiledRule, PackSet } from '../../packs/pack';
import { readBulkDensity, readClay } from '../../reading/soil/clay-and-density';
import { readOrganicCarbon } from '../../reading/soil/organic-matter';
import { readSoilPh } from '../../reading/soil/ph-scale';
import type { Site } from '../../reading/site';
import { scaleOf, siteInputs } from '../../reading/site-inputs';
import { formatNumber } from '../../units/display';
import { CACO3_T_HA_PER_CMOL, CM_PER_IN, KG_HA_PER_LB_AC, LB_PER_SHORT_TON } from '../../units/factors';
import { bufferCapacity, bufferCapacityByLayer } from './buffer-capacity';
import { debtOfNitrogen, debtOfProgramme } from './lime-debt';
import { triggerPh, type Gate } from './lime-gate';
import { readLimeDepth } from './liming-material';

/** lb CaCO3/ac that leaching and harvests take in a year beside the nitrogen: judgement, stated as such. */
const BACKGROUND_CACO3_LB = 100;
/** What it may be on other ground: judgement. */
const BACKGROUND_SPAN = { low: 50, high: 300 } as const;

/**
 * Years until what is put on is used up: lb of CaCO3 that act over what crop, nitrogen and background take in a year. The span goes with
 * the background, which soils differ most in. Common practice; illustrative.
 */
export function yearsItLasts(rate: Answer, fraction: Answer, site: Site): Answer {
	const label = 'years the lime lasts';
	if (!rate.applies) return notApplicable(label, rate.reason, rate.remedy);
	if (rate.value === 0) return notApplicable(label, 'no lime is called for', 'Test again in two years.');
	if (!fraction.applies) return notApplicable(label, fraction.reason, fraction.remedy);
	const acting = figure({
		label: 'effective CaCO3',
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
		formula: 'effective CaCO3 / used up in a year',
		inputs: [acting, used],
		basis: 'practice',
		cautions: [
			`${span[0]} to ${span[1]} years, as ${amountText(site.units).bare(BACKGROUND_SPAN.high, 'whole')} or ${amountText(site.units)(BACKGROUND_SPAN.low, 'whole')} a year leave beside crop and nitrogen.`
		]
	});
}

/** lb of pure CaCO3 per acre that a year uses up: the lime to offset acidity of its nitrogen, the background, and what the harvest takes. */
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
		formula: 'lime to offset acidity of a year + taken by the harvest',
		inputs: [debt, harvest],
		basis: 'memory'
	});
}

/**
 * Years until pH falls back to the trigger: the pH between over the pH lost in a year, which is nitrogen's lime to offset acidity
 * and a stated background (lb CaCO3/ac) over the soil's buffer capacity.
 */
export function yearsUntilNext(compiled: CompiledRule, rate: Answer, site: Site, packs: PackSet): Answer {
	const label = 'years until the next lime';
	if (!rate.applies) return notApplicable(label, rate.reason, rate.remedy);
	const target = siteInputs.targetPh(site, compiled);
	const soilPh = readSoilPh(site.soil, scaleOf(compiled));
	if (!target.applies) return notApplicable(label, target.reason, target.remedy);
	if (!soilPh.applies) return notApplicable(label, soilPh.reason, soilPh.remedy);
	const lost = phLostInAYear(compiled, site, packs);
	if (!lost.applies) return notApplicable(label, lost.reason, lost.remedy);
	const start = rate.value > 0 ? target : soilPh;
	const { basis, citation } = compiled.rule;
	const trigger = figure({
		label: 'trigger of the guide',
		value: triggerPh(sharedParameters<Gate>(compiled, site.crop.id), target.value),
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

function phLostInAYear(compiled: CompiledRule, site: Site, packs: PackSet): Answer {
	const label = 'pH lost in a year';
	const rule = packs.rules.find(({ kind }) => kind.kind === 'buffer-capacity');
	if (!rule) return notApplicable(label, 'no pack gives the buffer capacity of soils', 'Add one.');
	const carbon = readOrganicCarbon(site.soil);
	const clay = readClay(site);
	const density = readBulkDensity(site);
	const depth = readLimeDepth(site, compiled);
	if (!carbon.applies) return notApplicable(label, carbon.reason, carbon.remedy);
	if (!clay.applies) return notApplicable(label, clay.reason, clay.remedy);
	if (!density.applies) return notApplicable(label, density.reason, density.remedy);
	if (!depth.applies) return notApplicable(label, depth.reason, depth.remedy);
	const p = knownParameters(bufferCapacityByLayer, rule, site.crop.id);
	const { basis, citation } = rule.rule;
	const capacity = figure({
		label: 'pH buffer capacity',
		value: bufferCapacity(p, carbon.value, clay.value),
		unit: 'cmol/kg per pH',
		formula: `${p.perOrganicCarbon} x organic carbon + ${p.perClay} x clay`,
		inputs: [carbon, clay],
		basis,
		citation
	});
	const debt = yearlyDebt(site);
	const perPh = capacity.value * density.value * depth.value * CM_PER_IN * CACO3_T_HA_PER_CMOL;
	return figure({
		label,
		value: (debt.value * KG_HA_PER_LB_AC) / 1000 / perPh,
		unit: 'pH a year',
		formula: `CaCO3 t/ha / (capacity x bulk density x depth cm x ${CACO3_T_HA_PER_CMOL})`,
		inputs: [debt, capacity, density, depth],
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
		label: 'lime to offset acidity of a year',
		value: ofNitrogen.value + BACKGROUND_CACO3_LB,
		unit: 'lb/ac',
		formula: 'nitrogen and background',
		inputs: [ofNitrogen, background],
		basis: 'memory',
		citation: 'Pierre 1933',
		cautions: nitrogenRate === undefined ? ['No nitrogen is settled on; only the background is counted.'] : []
	});
}
