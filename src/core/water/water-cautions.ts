import { valueIfKnown, type Answer } from '../figure/figure';
import type { WaterCaution, WaterLimits, WaterReport, WaterRequest } from '../schema-types';
import { formatNumber } from '../units/display';
import { infiltration, sodiumAdsorptionRatio } from './sodium';
import { meqOf, ppmOf, type Ion } from './ions';

const CATIONS: readonly Ion[] = ['ca', 'mg', 'na', 'k'];
const ANIONS: readonly Ion[] = ['hco3', 'co3', 'cl', 'so4', 'no3n'];
/** Without these a sum says nothing; the others are small in most water. */
const MAIN: readonly Ion[] = ['ca', 'mg', 'na', 'hco3', 'cl', 'so4'];
/** Phosphate falls out with calcium above these; common practice. */
const PHOSPHATE = { caPpm: 50, ph: 6.5 };

/** What is to be watched with this water, the gravest first. */
export function waterCautions(
	{ water, sprinkled = false }: Pick<WaterRequest, 'water' | 'sprinkled'>,
	limits: WaterLimits
): WaterCaution[] {
	const found = [
		...ofTheReport(water, limits.reportChecks),
		...ofSodium(water, limits),
		...toxicIons(water, sprinkled, limits),
		...ofPipes(water, limits)
	];
	const rank = { stop: 0, mind: 1, note: 2 } as const;
	return found.sort((a, b) => rank[a.severity] - rank[b.severity]);
}

/** Cations and anions must agree, and their sum go with the conductivity: else a value was mistaken. */
function ofTheReport(water: WaterReport, checks: WaterLimits['reportChecks']): WaterCaution[] {
	if (MAIN.some((ion) => !meqOf(water, ion).applies)) return [];
	const sum = (ions: readonly Ion[]) => ions.reduce((all, ion) => all + (valueIfKnown(meqOf(water, ion)) ?? 0), 0);
	const [cations, anions] = [sum(CATIONS), sum(ANIONS)];
	const found: WaterCaution[] = [];
	const off = (100 * Math.abs(cations - anions)) / Math.max(cations, anions);
	if (off > checks.balancePercent) {
		found.push({
			code: 'ions-out-of-balance',
			severity: 'mind',
			text: `Cations add up to ${text(cations)} and anions to ${text(anions)} meq/L, ${Math.round(off)} % apart where up to ${checks.balancePercent} % is usual: ask the lab which value is wrong.`
		});
	}
	if (water.ec !== undefined) {
		const wanted = water.ec * checks.sumPerEc;
		if ((100 * Math.abs(cations - wanted)) / wanted > checks.sumPercent) {
			found.push({
				code: 'ions-against-conductivity',
				severity: 'mind',
				text: `Water of ${water.ec} dS/m should hold about ${text(wanted)} meq/L of cations; the report gives ${text(cations)}: ask the lab which value is wrong.`
			});
		}
	}
	return found;
}

function ofSodium(water: WaterReport, { infiltration: table, sodiumBySar }: WaterLimits): WaterCaution[] {
	const sar = valueIfKnown(sodiumAdsorptionRatio(water));
	if (sar === undefined) return [];
	const found: WaterCaution[] = [];
	const slowed = water.ec === undefined ? 'none' : infiltration(sar, water.ec, table);
	if (slowed !== 'none') {
		found.push({
			code: 'infiltration',
			severity: slowed === 'slight to moderate' ? 'mind' : 'stop',
			text:
				slowed === undefined
					? `A sodium adsorption ratio of ${text(sar)} is beyond what soils stand.`
					: `Water goes in slowly (${slowed}): its sodium adsorption ratio is ${text(sar)} at ${water.ec} dS/m. Gypsum or acid that frees calcium helps.`
		});
	}
	if (sar > sodiumBySar.watchFrom) {
		found.push({
			code: 'sodium',
			severity: sar > sodiumBySar.severeFrom ? 'stop' : 'mind',
			text: `Sodium may burn the leaves of trees and other sensitive crops (adsorption ratio ${text(sar)}, to watch above ${sodiumBySar.watchFrom}).`
		});
	}
	return found;
}

/** Chloride, sodium and boron above what sensitive crops stand. */
export function toxicIons(water: WaterReport, sprinkled: boolean, { toxicity }: WaterLimits): WaterCaution[] {
	return toxicity
		.filter(({ wetting }) => (wetting === 'leaves') === sprinkled || wetting === 'soil')
		.flatMap(({ ion, name, unit, wetting, watchFrom, severeFrom = Infinity }) => {
			const value = valueOf(water, ion, unit);
			if (value === undefined || value <= watchFrom) return [];
			const where = wetting === 'leaves' ? 'sprinkled over the leaves, it burns them' : 'sensitive crops show it';
			return [
				{
					code: `toxic-${ion}`,
					severity: value > severeFrom ? ('stop' as const) : ('mind' as const),
					text: `${name.charAt(0).toUpperCase()}${name.slice(1)} is ${text(value)} ${unit}, to watch above ${watchFrom}: ${where}.`
				}
			];
		});
}

function ofPipes(water: WaterReport, { clogging }: WaterLimits): WaterCaution[] {
	const found = clogging.flatMap(({ ion, name, unit, watchFrom, severeFrom = Infinity }): WaterCaution[] => {
		const value = valueOf(water, ion, unit);
		if (value === undefined || value <= watchFrom) return [];
		return [
			{
				code: `clogging-${ion}`,
				severity: value > severeFrom ? 'mind' : 'note',
				text: `${name.charAt(0).toUpperCase()}${name.slice(1)} of ${text(value)} ${unit} clogs drippers (to watch above ${watchFrom}).`
			}
		];
	});
	return [...found, ...ofPhosphate(water)];
}

/**
 * Whether phosphate put into water falls out with its calcium.
 * @param inLine pH that acid brings the water to; that of the report where none is put in
 */
export function ofPhosphate(water: WaterReport, inLine = water.ph): WaterCaution[] {
	const calcium = valueIfKnown(ppmOf(water, 'ca'));
	if (calcium === undefined || calcium <= PHOSPHATE.caPpm || (inLine ?? 0) <= PHOSPHATE.ph) return [];
	return [
		{
			code: 'phosphate-precipitates',
			severity: 'stop',
			text: `Phosphate in this water falls out with its calcium (${text(calcium)} ppm at pH ${inLine}): no phosphate through the lines unless acid brings the water below pH ${PHOSPHATE.ph}.`
		}
	];
}

function valueOf(water: WaterReport, ion: 'cl' | 'na' | 'b' | 'fe' | 'mn' | 'hco3', unit: 'meq/L' | 'ppm') {
	if (ion === 'b' || ion === 'fe' || ion === 'mn') return valueIfKnown(ppmOf(water, ion));
	const answer: Answer = unit === 'ppm' ? ppmOf(water, ion) : meqOf(water, ion);
	return valueIfKnown(answer);
}

function text(value: number): string {
	return formatNumber(Number(value.toPrecision(3)), 'ratio');
}
