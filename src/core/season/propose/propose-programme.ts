import type { Pass, Nutrient, ScheduleStep } from '../../schema-types';
import { FREE_LIME_PH } from '../../reading/soil/free-lime';
import { carried } from '../plan/pass/carried';
import { productFor } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';
import { limePass } from './lime-pass';
import { nitrogenPasses } from './nitrogen-passes';
import { dayOf, openSteps } from './nitrogen-steps';
import { passOf } from './pass-of-step';
import { LEAST_WORTH_A_PASS } from './place-nitrogen';
import type { Programme } from './programme';

/** Micronutrients go on by the tenth of a pound. */
const LEAST_BY_NUTRIENT: Partial<Record<Nutrient, number>> = { B: 0.1, Zn: 0.1, Mn: 0.1, Cu: 0.1 };
/** Rows this far apart are planted with bands beside and below the seed, closer ones are drilled: common practice. */
const WIDE_ROWS_IN = 15;

/**
 * Passes that put the chosen rates on by the crop's schedule: lime, the starter, then each nutrient less what is already carried, and
 * nitrogen last. None is dated before today.
 * @param kept passes that stay in the plan beside it, such as manure; what they bring is taken off
 */
export function proposeProgramme(context: PlanContext, kept: readonly Pass[] = []): Programme {
	const { schedule, crop, chosen } = context;
	if (!schedule) {
		return {
			passes: [],
			notes: [`No schedule of passes is known for ${crop.name.toLowerCase()}; add the passes by hand.`]
		};
	}
	const lime = limePass(context, schedule);
	const passes = [...lime.passes, ...starterPasses(context)];
	const there = [...context.applied, ...kept];
	for (const [nutrient, step] of singleSteps(context)) {
		const wanted = (chosen[nutrient] ?? 0) - carried([...there, ...passes], nutrient, context);
		if (wanted < (LEAST_BY_NUTRIENT[nutrient] ?? LEAST_WORTH_A_PASS)) continue;
		passes.push(ahead(step, productFor(wanted, productOf(step, context.products), nutrient), context));
	}
	const nitrogen = nitrogenPasses(context, [...kept, ...passes]);
	return {
		passes: [...passes, ...nitrogen.passes].sort((a, b) => a.date.localeCompare(b.date)),
		notes: [...lime.notes, ...nitrogen.notes]
	};
}

/** The nutrients that go on in one pass each, sulfur last, because others carry it along. */
function singleSteps(context: PlanContext): [Nutrient, ScheduleStep][] {
	const { phosphorus, potassium, sulfur } = context.schedule!;
	const extra = (nutrient: keyof PlanContext['extras']) => extraStep(nutrient, context);
	return [
		['P2O5', phosphateStep(phosphorus, context)],
		['K2O', potassium],
		['Mg', extra('Mg')],
		['Ca', extra('Ca')],
		['B', extra('B')],
		['Zn', extra('Zn')],
		['Mn', extra('Mn')],
		['Cu', extra('Cu')],
		['S', sulfur]
	];
}

/** Nutrients that the crop's own schedule leaves out. In an orchard they go on with the sulfur, not before planting. */
function extraStep(nutrient: keyof PlanContext['extras'], { extras, crop, schedule }: PlanContext): ScheduleStep {
	const step = extras[nutrient];
	if (!crop.perennial) return step;
	const { label, daysFromPlanting, fromStage, placement } = schedule!.sulfur;
	return {
		...step,
		label: label.replace(/^S\b/, nutrient),
		daysFromPlanting,
		placement,
		...(fromStage ? { fromStage } : {})
	};
}

/** Free lime ties up phosphate that is spread: there it goes on in a band at planting. */
function phosphateStep(step: ScheduleStep, { crop, soilPh, rowSpacingIn, products }: PlanContext): ScheduleStep {
	if (crop.perennial || soilPh === undefined || soilPh <= FREE_LIME_PH) return step;
	const placement = rowSpacingIn !== undefined && rowSpacingIn < WIDE_ROWS_IN ? 'side band' : '2x2 band';
	if (!productOf(step, products).placements.includes(placement)) return step;
	return {
		...step,
		label: 'P in a band at planting',
		daysFromPlanting: 0,
		placement,
		reason: 'Spread on soil with free lime, phosphate is tied up; in a band it lasts.'
	};
}

/**
 * A step as a pass on its day, or, where that is past, on the next that is left: today before planting, on top of the crop with the next
 * nitrogen after it. What goes with a counted dressing moves with it.
 */
function ahead(step: ScheduleStep, rate: number, context: PlanContext): Pass {
	const { today, plantingDate, crop, schedule, products } = context;
	const pass = passOf(step, context, rate, 'lb/ac');
	const along = schedule!.nitrogen.find(
		({ daysFromPlanting, fromStage }) => daysFromPlanting === step.daysFromPlanting && fromStage === step.fromStage
	);
	const date = along && step.daysFromPlanting > 0 ? dayOf(along, context) : pass.date;
	if (date >= today) return { ...pass, date };
	const late = { ...pass, date: today, reason: `${pass.reason} Its usual day is past.` };
	if (today < plantingDate || crop.perennial) return late;
	const [next = today] = openSteps(context)
		.map((open) => open.date)
		.sort();
	if (!productOf(step, products).placements.includes('top-dress')) return { ...late, date: next };
	return { ...late, date: next, placement: 'top-dress', label: `${step.label.split(' ')[0]} on top of the crop` };
}

/** The starter, which is taken off the phosphate and nitrogen passes. */
function starterPasses(context: PlanContext): Pass[] {
	const { starter, chosen, products, applied, today } = context;
	const done = carried(
		applied.filter(({ placement }) => placement === starter?.step.placement),
		'P2O5',
		context
	);
	const p2o5 = Math.min((starter?.p2o5 ?? 0) - done, chosen.P2O5 ?? 0);
	if (!starter || p2o5 < LEAST_WORTH_A_PASS) return [];
	const pass = passOf(starter.step, context, productFor(p2o5, productOf(starter.step, products), 'P2O5'), 'lb/ac');
	// Beside the seed it goes on with the planter, or not at all.
	return pass.date < today ? [] : [pass];
}
