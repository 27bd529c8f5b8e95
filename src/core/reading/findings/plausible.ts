import { differenceInCalendarDays, parseISO } from 'date-fns';
import { analyteName } from '../../ground/analyte-names';
import { clayOf, goalFault, usualRange } from '../../ground/possible-range';
import type { Analyte, LabMethod } from '../../schema-types';
import { amountText, quantityIn } from '../../units/amount-text';
import { formatNumber } from '../../units/display';
import { yieldUnitOf } from '../../units/rate-units';
import { mineralNitrogen } from '../soil/mineral-nitrogen';
import { isOrganicSoil } from '../soil/organic-matter';
import { readResult } from '../soil/read-result';
import type { SampledSoil } from '../soil/sampled-soil';
import { canonicalUnit } from '../../units/result-units';
import type { Finding, ReportCheck } from './finding';
import { longDate } from '../../units/day-text';

const mind = (code: string, text: string, remedy: string): Finding => ({ code, severity: 'mind', text, remedy });

/** A goal that few fields bring. One that none brings is refused before. */
export const unusualGoal: ReportCheck = ({ site: { crop, yieldGoal, units } }) => {
	const found = goalFault(crop.id, yieldGoal);
	if (found?.fault !== 'unusual') return [];
	const said = (goal: number | readonly [number, number]) => quantityIn(units, goal, yieldUnitOf(crop));
	return [
		mind(
			'unusual-goal',
			`A goal of ${said(yieldGoal)} is unusual for ${crop.name.toLowerCase()}: ${said(found.bounds)} is what most fields bring.`,
			'Check the goal and its unit against what the field has brought.'
		)
	];
};

/** What each unusual value means for the adviser; common practice. */
const REMEDIES: Partial<Record<Analyte, string>> = {
	EC: 'Saline: salts come first. Drain and leach; most crops yield less, whatever is applied.',
	P: 'No phosphate for years; what is there can reach water. Hold back soil and runoff that would take it along.'
};

/** Soil tests that are possible, but seldom seen. */
export const unusualTests: ReportCheck = ({ site: { soil } }) =>
	(['OM', 'OC', 'CEC', 'EC', 'P', 'bulkDensity'] as const).flatMap((analyte) => {
		const answer = readResult(soil, analyte);
		const range = usualRange(analyte);
		// Above it stands the organic soil's own finding.
		if ((analyte === 'OM' || analyte === 'OC') && isOrganicSoil(soil)) return [];
		if (!answer.applies || !range || (answer.value >= range[0] && answer.value <= range[1])) return [];
		const name = analyteName(analyte);
		const unit = canonicalUnit(analyte);
		const [value, low, high] = [answer.value, ...range].map((one) => formatNumber(one, unit));
		const remedy = (answer.value > range[1] && REMEDIES[analyte]) || 'Check value and unit against the lab’s paper.';
		return [mind(`unusual-${analyte}`, `${name} ${value} ${unit} is unusual: ${low} to ${high} is usual.`, remedy)];
	});

/** pH of each buffer without soil: SMP 7.5, Sikora 7.7, Mehlich 6.6; from the descriptions of the methods, from memory. */
const OWN_PH: Partial<Record<LabMethod, number>> = { smp: 7.5, sikora: 7.7, mehlich: 6.6 };
/** How far a lab may be off: judgement. */
const BUFFER_ERROR = 0.1;

function ownPhOf(soil: SampledSoil): number | undefined {
	const [reported] = soil.reported('bufferPh').results;
	return reported?.result.method && OWN_PH[reported.result.method];
}

/** A buffer lowers no pH: below the soil's own, or above that of the buffer, it is a slip of column or pen. */
export const bufferBelowPh: ReportCheck = ({ site: { soil } }) => {
	const soilPh = readResult(soil, 'pH', ['water']);
	const buffer = readResult(soil, 'bufferPh');
	if (!soilPh.applies || !buffer.applies) return [];
	const own = ownPhOf(soil);
	if (own !== undefined && buffer.value > own + BUFFER_ERROR) {
		return [
			mind(
				'buffer-above-own',
				`Buffer pH ${formatNumber(buffer.value, 'pH')} is above ${own}, the pH of that buffer itself.`,
				'Check the value and the name of the buffer against the lab’s paper.'
			)
		];
	}
	// Soil above the buffer's own pH is read at about that.
	if (buffer.value >= Math.min(soilPh.value, (own ?? Infinity) - BUFFER_ERROR)) return [];
	return [
		mind(
			'buffer-below-ph',
			`Buffer pH ${formatNumber(buffer.value, 'pH')} lies below the soil’s pH ${formatNumber(soilPh.value, 'pH')}, which a buffer cannot do.`,
			'Look whether the two columns were changed about.'
		)
	];
};

/** The same depth twice with the same analyte, or two depths that cut into each other. */
export const overlappingLayers: ReportCheck = ({ site: { soil } }) => {
	const pairs = soil.layers.flatMap((a, at) => soil.layers.slice(at + 1).map((b) => [a, b] as const));
	return pairs.flatMap(([a, b]) => {
		const twice = a.results.filter(({ analyte }) => b.results.some((other) => other.analyte === analyte));
		const overlap = Math.min(a.bottomIn, b.bottomIn) - Math.max(a.topIn, b.topIn);
		if (twice.length === 0 || overlap <= SLACK_IN) return [];
		const names = [...new Set(twice.map(({ analyte }) => analyteName(analyte)))].join(', ');
		return [
			mind(
				'overlapping-layers',
				`${a.depthText} and ${b.depthText} overlap, and both give ${names}: the upper one counts.`,
				'Take one of them out, or write the depths as they were sampled.'
			)
		];
	});
};
const SLACK_IN = 0.5;

/** Nitrate from below alone says nothing of the ground above. */
export const nitrateFromBelow: ReportCheck = ({ site: { soil } }) => {
	const withNitrate = soil.layers.filter(({ results }) => results.some(({ analyte }) => analyte === 'NO3-N'));
	const top = Math.min(...withNitrate.map(({ topIn }) => topIn));
	if (withNitrate.length === 0 || top <= SLACK_IN) return [];
	return [
		mind(
			'nitrate-from-below',
			`Nitrate was measured from ${quantityIn(soil.units, top, 'in')} down alone: what lies above it is not known, and nothing is credited.`,
			'Have the layers from the surface down measured too.'
		)
	];
};

/** So much in the ground that a guide without a nitrate credit misses it, lb/ac: judgement. */
const MUCH_NITRATE_LB = 150;

/** Much nitrate in the ground, beside rates that do not see it. */
export const muchNitrate: ReportCheck = ({ site: { soil, crop } }) => {
	const there = mineralNitrogen(soil);
	if (!there.applies || there.value < MUCH_NITRATE_LB || crop.nitrogenContent?.fixes) return [];
	return [
		mind(
			'much-nitrate',
			`${amountText(soil.units)(there.value)} of mineral N lie in the root zone. Guides without a nitrate credit do not see them: their rate stands as if the ground were empty.`,
			'Take a guide that credits nitrate, or a nitrate test in season, before buying any.'
		)
	];
};

/** Further than this from the day of the advice a test in the crop is of another year, days: judgement. */
const SEASON_DAYS = 270;

/** Dates that cannot be, or are of another season. */
export const oddDates: ReportCheck = ({ site: { sampleDate, asOf, inSeason } }) => {
	const off = (date: string) => differenceInCalendarDays(parseISO(date), parseISO(asOf));
	const found: Finding[] = [];
	if (sampleDate !== undefined && off(sampleDate) > 0) {
		found.push(
			mind(
				'sample-in-future',
				`The sample is dated ${longDate(sampleDate)}, after ${longDate(asOf)}.`,
				'Correct the date of the sample.'
			)
		);
	}
	for (const [name, test] of Object.entries(inSeason)) {
		const date = (test as { date?: string } | undefined)?.date;
		if (date === undefined || Math.abs(off(date)) <= SEASON_DAYS) continue;
		found.push(
			mind(
				'test-of-other-year',
				`The ${name} test of ${longDate(date)} is of another season than ${longDate(asOf)}.`,
				'Record a test of this season, or delete this one.'
			)
		);
	}
	return found;
};

/** Measured clay that the named texture does not have. */
export const textureAgainstClay: ReportCheck = ({ site: { soil, field } }) => {
	const clay = readResult(soil, 'clay');
	if (!clay.applies || !field.textureClass) return [];
	const [low, high] = clayOf(field.textureClass);
	if (clay.value >= low && clay.value <= high) return [];
	return [
		mind(
			'texture-against-clay',
			`${formatNumber(clay.value, '%')} % clay does not go with ${field.textureClass} (${low} to ${high} %).`,
			'Correct the texture of the field, or check the lab’s clay.'
		)
	];
};
