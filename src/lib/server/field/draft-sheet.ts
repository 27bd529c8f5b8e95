import { buildSheet } from '../../../core/sheet/build-sheet';
import { readResult } from '../../../core/reading/soil/read-result';
import { decisionText } from '../../../core/season/decisions/decision-text';
import { productOf } from '../../../core/season/plan/plan-context';
import type { Analyte, Crop, Decision, Prescription, SheetContent, SheetLeafTest } from '../../../core/schema-types';
import type { Advice, FieldYear } from './field-year';
import { currentLibrary } from '../current-library';
import { secondCropOf } from '../stores/plan/after-the-harvest';
import type { Settings } from '../stores/settings';
import { today } from '../today';
import { stagesOfYear } from '../../../core/season/stages/stages-of-year';
import { longDate } from '../../../core/units/day-text';

const SHOWN_ANALYTES: readonly Analyte[] = ['pH', 'bufferPh', 'P', 'K', 'OM'];

/** The sheet of a field-year as it would be issued today. */
export function draftSheet(
	{ field, year, sample }: FieldYear,
	advice: Advice,
	{ preparedBy, loads }: Settings,
	prescriptions: ReadonlyMap<string, Prescription>,
	{ leafTests, decisions }: { leafTests: readonly SheetLeafTest[]; decisions: readonly Decision[] }
): SheetContent {
	const { packs, products, cautions, crops } = currentLibrary();
	const { cec } = advice.answer.derived.worksheets;
	const values = [...SHOWN_ANALYTES.map((analyte) => readResult(advice.site.soil, analyte)), cec!];
	const methods = [...advice.choices, secondCropOf(advice.goal)?.nitrogen].map((choice) => choice?.method);
	const used = new Set(methods.map((method) => method?.split('/')[0]));
	const source = [
		sample!.report.date && `sampled ${longDate(sample!.report.date)}`,
		sample!.lab,
		sample!.labNumber && `no. ${sample!.labNumber}`
	];
	return buildSheet({
		preparedBy,
		issuedOn: today(),
		grower: field.grower,
		field: { name: field.name, ...(field.area_ac === null ? {} : { areaAcres: field.area_ac }) },
		year,
		crop: advice.crop,
		plantingDate: advice.context.plantingDate,
		previousCrop: advice.goal.previous_crop ?? undefined,
		second: secondOf(advice, crops),
		age: advice.context.plantAge,
		soilSource: source.filter(Boolean).join(', '),
		soilValues: values.filter((value) => value.applies),
		chosen: advice.chosen,
		passes: advice.passes.map(({ plan }) => plan),
		stages: stagesOfYear(advice.context),
		passCosts: advice.costs,
		findings: advice.answer.findings,
		leafTests,
		decisions: decisions.flatMap(({ plan, madeOn }) =>
			madeOn === undefined ? [decisionText(plan, productOf(plan.pass, products), field.units)] : []
		),
		station: advice.context.station,
		checks: [...advice.checks()],
		packs: packs.packs.filter(({ id }) => used.has(id)),
		request: { ...advice.request, units: field.units },
		products,
		cautionList: cautions,
		loads,
		prescriptions
	});
}

function secondOf({ request: { secondCrop }, secondNitrogen: nitrogen }: Advice, crops: readonly Crop[]) {
	const crop = crops.find(({ id }) => id === secondCrop?.id);
	return secondCrop && crop && { crop, yieldGoal: secondCrop.yieldGoal, nitrogen };
}
