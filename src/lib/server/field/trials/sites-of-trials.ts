import { methodName, methodsOf } from '../../../../core/ground/lab-file/lab-methods';
import { readResult } from '../../../../core/reading/soil/read-result';
import { soilLayers } from '../../../../core/reading/soil/soil-layers';
import type { CalibratedRuleAction, LabMethod, Sample } from '../../../../core/schema-types';
import { CALIBRATED_ANALYTE } from '../../../../core/trials/calibration/calibrated-guide';
import { checkAndPlenty, type CheckAndPlenty } from '../../../../core/trials/calibration/check-and-plenty';
import { readTrial } from '../../../../core/trials/reading/read-trial';
import { isOneOf, keysOf } from '../../../../core/check/typed-object';
import { longDate } from '../../../../core/units/day-text';
import type { Desk } from '../../desk';
import { listFieldSamples } from '../../stores/fields';
import { findFieldYear } from '../../stores/field-years';
import { listTrials, type BookTrial } from '../../stores/trials';
import { plantingDateOf } from '../field-request';
import { sourceName } from './became-of-trial';
import { triedNutrient } from './trial-ground';
import { termsOfTrial } from './trial-terms';

type Nutrient = CalibratedRuleAction['nutrient'];

/** Sites of one crop, nutrient and test, as a table that can be read and changed. */
interface SitesOfTrials {
	crop: string;
	nutrient: Nutrient;
	method: LabMethod;
	/** "Corn, P2O5 by Mehlich-3". */
	name: string;
	sites: number;
	table: string;
}

interface Site extends CheckAndPlenty {
	crop: string;
	nutrient: Nutrient;
	method: LabMethod;
	soilTest: number;
	name: string;
}

const HEADING = 'test, yield without, yield with plenty, site';
/** Digits of a mean in the table. */
const DECIMALS = 2;

/**
 * The trials of the book as sites of a calibration: those that tried P2O5 or K2O from nothing to plenty, with the newest
 * sample of the field from before the crop was planted.
 * @returns also why a trial of these nutrients is no site
 */
export function sitesOfTrials(desk: Desk): { sets: SitesOfTrials[]; left: string[] } {
	const left: string[] = [];
	const sites = listTrials(desk.book).flatMap((trial): Site[] => {
		const nutrient = triedNutrient(trial.plan);
		if (nutrient === undefined || !isOneOf(keysOf(CALIBRATED_ANALYTE), nutrient)) return [];
		const found = sitesOf(desk, trial, nutrient);
		if (typeof found !== 'string') return found;
		left.push(`${sourceName(trial)}: ${found}`);
		return [];
	});
	const byTest = new Map<string, Site[]>();
	for (const site of sites) {
		const key = JSON.stringify([site.crop, site.nutrient, site.method]);
		byTest.set(key, [...(byTest.get(key) ?? []), site]);
	}
	return { sets: [...byTest.values()].map((own) => setOf(desk, own)), left };
}

function sitesOf(desk: Desk, trial: BookTrial, nutrient: Nutrient): Site[] | string {
	const goal = findFieldYear(desk.book, trial.fieldId, trial.year);
	if (!goal) return `its crop of ${trial.year} is not known`;
	const reading = readTrial(trial, 'yield', termsOfTrial(desk, trial));
	if (!reading.applies) return reading.reason;
	const means = checkAndPlenty(trial.plan, reading.answer);
	if (!means) return 'it has no measured plots without the nutrient, or none with plenty';
	const planted = plantingDateOf(goal, desk.library);
	const sample = listFieldSamples(desk.book, trial.fieldId).find(({ report }) => report.date && report.date <= planted);
	if (!sample) return `no sample of the field from before ${longDate(planted)}`;
	const tests = testsOf(sample.report, nutrient);
	if (tests.length === 0) return `its sample gives no ${CALIBRATED_ANALYTE[nutrient]}`;
	return tests.map((test) => ({ ...means, ...test, crop: goal.crop, nutrient, name: sourceName(trial) }));
}

function testsOf(report: Sample, nutrient: Nutrient): { method: LabMethod; soilTest: number }[] {
	const analyte = CALIBRATED_ANALYTE[nutrient];
	const soil = soilLayers(report);
	return methodsOf(analyte).flatMap((method) => {
		const found = readResult(soil, analyte, [method]);
		return found.applies && found.value > 0 ? [{ method, soilTest: found.value }] : [];
	});
}

function setOf({ library }: Desk, sites: readonly Site[]): SitesOfTrials {
	const { crop, nutrient, method } = sites[0]!;
	const cropName = library.crops.find(({ id }) => id === crop)?.name ?? crop;
	const lines = sites.map(
		({ soilTest, without, plenty, name }) =>
			`${Number(soilTest.toFixed(DECIMALS))}, ${without.toFixed(DECIMALS)}, ${plenty.toFixed(DECIMALS)}, ${name.replaceAll(',', '')}`
	);
	return {
		crop,
		nutrient,
		method,
		name: `${cropName}, ${nutrient} by ${methodName(method)}`,
		sites: sites.length,
		table: [HEADING, ...lines].join('\n')
	};
}
