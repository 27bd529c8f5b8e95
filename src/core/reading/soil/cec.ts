import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { Analyte } from '../../schema-types';
import { PPM_PER_MEQ } from '../../units/factors';
import { formatNumber } from '../../units/display';
import { methodName } from '../../ground/lab-file/lab-methods';
import { FREE_LIME_PH } from './free-lime';
import { readResult } from './read-result';
import type { BaseShares, SampledSoil } from './sampled-soil';

const ASK_FOR_CEC = 'Ask the lab for CEC (a report without it is half a report).';
const CITATION = 'Common laboratory practice, written from memory';
/** At and above these soil holds no exchange acidity: buffer pH by SMP or Sikora, by Mehlich, and soil pH in water. */
export const NO_ACIDITY = { smp: 7, mehlich: 6.6, soil: 7 } as const;

type BaseCation = 'Ca' | 'Mg' | 'K' | 'Na';

/** A base cation in meq/100 g: ppm over its ppm in one meq. Does not apply where the report lacks it. */
export function baseCation(soil: SampledSoil, cation: BaseCation): Answer {
	const ppm = readResult(soil, cation);
	if (!ppm.applies) return ppm;
	return figure({
		label: `${cation} held`,
		value: ppm.value / PPM_PER_MEQ[cation],
		unit: 'meq/100 g',
		formula: `ppm / ${PPM_PER_MEQ[cation]}`,
		inputs: [ppm],
		basis: 'measured'
	});
}

/**
 * Cation exchange capacity, meq/100 g (2 to 60 in mineral soils): measured if the report has it, else
 * Ca + Mg + K + Na + acidity, acidity = 12 x (7.0 - SMP or Sikora buffer pH), or (6.6 - Mehlich buffer pH) / 0.25
 * (common laboratory practice, from memory).
 * @returns does not apply without Ca, Mg, K and, below pH 7.0, a buffer pH
 */
export function cationExchangeCapacity(soil: SampledSoil): Answer {
	return (soil.read.cec ??= findCec(soil));
}

function findCec(soil: SampledSoil): Answer {
	const measured = readResult(soil, 'CEC');
	if (measured.applies || reports(soil, 'CEC')) return measured;
	const parts: Figure[] = [];
	for (const cation of ['Ca', 'Mg', 'K'] as const) {
		const held = baseCation(soil, cation);
		if (!held.applies) return notApplicable('CEC', `the report gives no CEC, and ${held.reason}`, ASK_FOR_CEC);
		parts.push(held);
	}
	const sodium = baseCation(soil, 'Na');
	if (sodium.applies) parts.push(sodium);
	const acidity = exchangeAcidity(soil);
	if (!acidity.applies) return notApplicable('CEC', `the report gives no CEC, and ${acidity.reason}`, ASK_FOR_CEC);
	parts.push(acidity);
	return figure({
		label: 'CEC by summation',
		value: parts.reduce((sum, part) => sum + part.value, 0),
		unit: 'meq/100 g',
		formula: sodium.applies ? 'Ca + Mg + K + Na + acidity' : 'Ca + Mg + K + acidity',
		inputs: parts,
		basis: 'memory',
		citation: CITATION,
		cautions: freeLimeCautions(soil)
	});
}

/** The lab's own percentages of CEC, used where it gives them alone. */
const LAB_SHARE = { Ca: 'satCa', Mg: 'satMg', K: 'satK', Na: 'satNa' } as const;

/** Ca, Mg, K and, where reported, Na as percent of CEC; figures by cation. */
export function baseSaturation(soil: SampledSoil, cec: Answer): BaseShares {
	const known = soil.read.shares;
	if (known?.cec === cec) return known.of;
	const of = findShares(soil, cec);
	soil.read.shares = { cec, of };
	return of;
}

function findShares(soil: SampledSoil, cec: Answer): BaseShares {
	if (!cec.applies) return {};
	const shares: BaseShares = {};
	for (const cation of ['Ca', 'Mg', 'K', 'Na'] as const) {
		const held = baseCation(soil, cation);
		if (!held.applies) {
			const own = readResult(soil, LAB_SHARE[cation]);
			if (own.applies) shares[cation] = own;
			continue;
		}
		shares[cation] = figure({
			label: `${cation} share of CEC`,
			value: (held.value / cec.value) * 100,
			unit: '%',
			formula: `${cation} / CEC x 100`,
			inputs: [held, cec],
			basis: 'measured'
		});
	}
	return shares;
}

function exchangeAcidity(soil: SampledSoil): Answer {
	const label = 'acidity';
	const smp = readResult(soil, 'bufferPh', ['smp', 'sikora']);
	const mehlich = readResult(soil, 'bufferPh', ['mehlich']);
	const given = { label, unit: 'meq/100 g', basis: 'memory', citation: CITATION } as const;
	if (smp.applies) {
		const formula = '12 x (7.0 - buffer pH), none at or above 7.0';
		return figure({ ...given, value: Math.max(0, 12 * (NO_ACIDITY.smp - smp.value)), formula, inputs: [smp] });
	}
	if (mehlich.applies) {
		const formula = `(6.6 - ${methodName('mehlich')} buffer pH) / 0.25, none at or above 6.6`;
		return figure({
			...given,
			value: Math.max(0, (NO_ACIDITY.mehlich - mehlich.value) / 0.25),
			formula,
			inputs: [mehlich]
		});
	}
	const soilPh = readResult(soil, 'pH', ['water']);
	if (soilPh.applies && soilPh.value >= NO_ACIDITY.soil) {
		return figure({ ...given, value: 0, formula: 'none at or above pH 7.0', inputs: [soilPh], basis: 'practice' });
	}
	return notApplicable(label, smp.reason, smp.remedy);
}

function freeLimeCautions(soil: SampledSoil): string[] {
	const soilPh = readResult(soil, 'pH', ['water']);
	const carbonate = readResult(soil, 'carbonate');
	if (soilPh.applies && soilPh.value > FREE_LIME_PH) {
		return [`Free lime is likely at pH ${formatNumber(soilPh.value, 'pH')}: CEC by summation reads high.`];
	}
	return carbonate.applies && carbonate.value > 0 ? ['Free lime is present: CEC by summation reads high.'] : [];
}

/** Whether the report holds an analyte, readable or not. */
export function reports(soil: SampledSoil, analyte: Analyte): boolean {
	return soil.layers.some(({ results }) => results.some((result) => result.analyte === analyte));
}
