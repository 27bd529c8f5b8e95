import { severityCount } from '../../../core/figure/severity-word';
import { readResult } from '../../../core/reading/soil/read-result';
import { soilLayers } from '../../../core/reading/soil/soil-layers';
import { passOfPart } from '../../../core/season/applied/what-happened';
import type { BookedPass } from '../../../core/season/propose/nitrogen-programme';
import { quantityIn } from '../../../core/units/amount-text';
import { formatNumber, formatQuantity } from '../../../core/units/display';
import { inSystem, unitInSystem, valueInSystem, type UnitSystem, yieldUnitOf } from '../../../core/units/rate-units';
import type { FieldYear } from '../field/field-year';
import type { Sheet } from '../stores/sheets';

/** What each of the seven words stands at now, by its path. */
export function workLine(
	fieldYear: FieldYear,
	sheets: readonly Sheet[],
	units: UnitSystem,
	outOfDate = false
): Record<string, string> {
	return {
		ground: groundText(fieldYear, units),
		reading: readingText(fieldYear),
		rates: ratesText(fieldYear, units),
		season: seasonText(fieldYear),
		supply: supplyText(fieldYear, units),
		sheet: sheets[0] ? `No. ${sheets[0].number} ${outOfDate ? 'out of date' : 'issued'}` : 'draft',
		book: bookText(fieldYear, units)
	};
}

function groundText({ field, samples }: FieldYear, units: UnitSystem): string {
	const area = field.area_ac === null ? 'area not known' : quantityIn(units, field.area_ac, 'ac');
	const count = samples.length === 1 ? '1 sample' : `${samples.length} samples`;
	return [area, field.texture, count].filter(Boolean).join(', ');
}

function readingText({ sample, advice }: FieldYear): string {
	if (!sample) return 'no sample';
	const soilPh = readResult(soilLayers(sample.report), 'pH');
	const cec = advice?.answer.derived.cec;
	const parts = [
		soilPh.applies && `pH ${formatNumber(soilPh.value, 'pH')}`,
		cec !== null && cec !== undefined && `CEC ${formatNumber(cec, 'meq/100 g')}`
	];
	return parts.filter(Boolean).join(', ') || 'no pH';
}

function ratesText({ goal, advice }: FieldYear, units: UnitSystem): string {
	if (!goal) return 'set a goal';
	if (!advice || advice.chosen.length === 0) return 'none chosen';
	return advice.chosen
		.filter(({ nutrient }) => nutrient !== 'lime')
		.map(
			({ nutrient, rate }) =>
				`${nutrient.replace('P2O5', 'P').replace('K2O', 'K')} ${Math.round(valueInSystem(rate.value, rate.unit, units))}`
		)
		.concat(limeText(advice.chosen, units))
		.join(' ');
}

function limeText(chosen: NonNullable<FieldYear['advice']>['chosen'], units: UnitSystem): string[] {
	const lime = chosen.find(({ nutrient }) => nutrient === 'lime');
	if (!lime) return [];
	const value = valueInSystem(lime.rate.value, lime.rate.unit, units);
	return [`lime ${formatNumber(value, 'ac')} ${unitInSystem(lime.rate.unit, units) === 't/ha' ? 't' : 'ton'}`];
}

function seasonText({ advice }: FieldYear): string {
	if (!advice || advice.passes.length === 0) return 'no passes';
	const passes = countOf(advice.passes);
	const count = passes === 1 ? '1 pass' : `${passes} passes`;
	const checks = advice.checks();
	const stops = checks.filter(({ severity }) => severity === 'stop').length;
	const minds = checks.filter(({ severity }) => severity === 'mind').length;
	return [count, stops > 0 && severityCount('stop', stops), minds > 0 && severityCount('mind', minds)]
		.filter(Boolean)
		.join(', ');
}

function supplyText({ advice }: FieldYear, units: UnitSystem): string {
	if (!advice || advice.passes.length === 0) return 'nothing to buy';
	const cost = inSystem(advice.cost, units);
	return cost.applies ? formatQuantity(cost.value, cost.unit) : 'prices missing';
}

function bookText({ advice, goal }: FieldYear, units: UnitSystem): string {
	if (goal?.harvested_yield) {
		return advice ? `harvested ${quantityIn(units, goal.harvested_yield, yieldUnitOf(advice.crop))}` : 'harvested';
	}
	const done = countOf(advice?.passes.filter(({ doneOn }) => doneOn !== null) ?? []);
	return done > 0 ? `${done} applied` : 'nothing applied';
}

/** Passes of the plan: the parts of one count once. */
function countOf(passes: readonly BookedPass[]): number {
	return new Set(passes.map(({ plan }) => passOfPart(plan.id))).size;
}
