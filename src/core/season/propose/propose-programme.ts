import { amountText } from '../../units/amount-text';
import type { Answer } from '../../figure/figure';
import { limeApplications } from '../../rates/lime/lime-applications';
import { formatNumber } from '../../units/display';
import type { Nutrient, Pass, Schedule, ScheduleStep } from '../../schema-types';
import { passNutrient, poundsPerAcre, productFor } from '../plan/pass/pass-nutrients';
import { LB_PER_SHORT_TON } from '../../units/factors';
import { nitrogenRoom, type NitrogenRoom } from '../plan/pass/pass-ceiling';
import { LEAST_WORTH_A_PASS, placeNitrogen, type Slot } from './place-nitrogen';
import { productOf, type PlanContext } from '../plan/plan-context';
import { plannedShares } from '../schedule/planned-shares';
import { byCropOfYear } from '../schedule/second-crop';
import { dateOf } from '../schedule/step-date';
import { shiftDate } from '../weather/season-weather';

/** A programme, and in words what could not be placed in it. */
export interface Programme {
	passes: Pass[];
	notes: string[];
}

/** Sooner is better once tillers are counted; common practice. */
const AFTER_COUNT_DAYS = 3;
/** Micronutrients go on by the tenth of a pound. */
const LEAST_BY_NUTRIENT: Partial<Record<Nutrient, number>> = { B: 0.1, Zn: 0.1, Mn: 0.1, Cu: 0.1 };

/**
 * Passes that put the chosen rates on by the crop's schedule: lime, the starter, then each nutrient less what is
 * already carried, and nitrogen last, over as many passes as the ground can hold.
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
	for (const [nutrient, step] of singlePasses(context, schedule)) {
		const wanted = (chosen[nutrient] ?? 0) - carried([...there, ...passes], nutrient, context);
		if (wanted >= (LEAST_BY_NUTRIENT[nutrient] ?? LEAST_WORTH_A_PASS)) {
			passes.push(passOf(step, context, productFor(wanted, productOf(step, context.products), nutrient), 'lb/ac'));
		}
	}
	const nitrogen = nitrogenPasses(context, schedule, [...kept, ...passes]);
	return {
		passes: [...passes, ...nitrogen.passes].sort((a, b) => a.date.localeCompare(b.date)),
		notes: [...lime.notes, ...nitrogen.notes]
	};
}

/** The nutrients that go on in one pass each, sulfur last, because others carry it along. */
function singlePasses({ extras }: PlanContext, schedule: Schedule): [Nutrient, ScheduleStep][] {
	return [
		['P2O5', schedule.phosphorus],
		['K2O', schedule.potassium],
		['Mg', extras.Mg],
		['Ca', extras.Ca],
		['B', extras.B],
		['Zn', extras.Zn],
		['Mn', extras.Mn],
		['Cu', extras.Cu],
		['S', schedule.sulfur]
	];
}

/** This season's share of the lime, and what is left for the next ones. */
function limePass(context: PlanContext, { lime }: Schedule): Programme {
	const limed = context.applied
		.map((pass) => ({ pass, product: productOf(pass, context.products) }))
		.filter(({ product }) => product.lime)
		.reduce((sum, { pass, product }) => sum + poundsPerAcre(pass, product) / LB_PER_SHORT_TON, 0);
	const wanted = Math.max(0, (context.chosen.lime ?? 0) - limed);
	const { applications, why } = limeApplications(wanted, context.liming.placement);
	const [now, ...later] = applications;
	if (!now) return { passes: [], notes: [] };
	const surface = context.liming.placement === 'surface';
	const step: ScheduleStep = {
		...lime,
		product: context.liming.product,
		...(surface ? { placement: 'broadcast' as const, label: 'Lime, on the surface' } : {})
	};
	const planned = passOf(step, context, now.rate, 'short ton/ac');
	const pass = { ...planned, date: offTheCropBefore(planned, context), reason: `${lime.reason} ${why}` };
	if (later.length === 0) return { passes: [pass], notes: [] };
	const left = later.reduce((sum, { rate }) => sum + rate, 0);
	const seasons = later.length === 1 ? 'the next season' : `the next ${later.length} seasons`;
	return {
		passes: [pass],
		notes: [`${why} ${formatNumber(left, 'short ton/ac')} short tons of it are left for ${seasons}.`]
	};
}

/** Nothing is worked in while the crop before stands: then it waits for that harvest. */
function offTheCropBefore({ date, placement }: Pass, { cropBefore }: PlanContext): string {
	const stands = cropBefore && date >= cropBefore.from && date <= cropBefore.to;
	return stands && placement === 'incorporated' ? shiftDate(cropBefore.to, 1) : date;
}

/** The starter, which is taken off the phosphate and nitrogen passes. */
function starterPasses(context: PlanContext): Pass[] {
	const { starter, chosen, products, applied } = context;
	const done = carried(
		applied.filter(({ placement }) => placement === starter?.step.placement),
		'P2O5',
		context
	);
	const p2o5 = Math.min((starter?.p2o5 ?? 0) - done, chosen.P2O5 ?? 0);
	if (!starter || p2o5 < LEAST_WORTH_A_PASS) return [];
	return [passOf(starter.step, context, productFor(p2o5, productOf(starter.step, products), 'P2O5'), 'lb/ac')];
}

/** Pounds of a nutrient per acre over a list of passes. */
export function carried(passes: readonly Pass[], nutrient: Nutrient, { products }: PlanContext): number {
	return passes.reduce((sum, pass) => sum + passNutrient(pass, productOf(pass, products), nutrient), 0);
}

function nitrogenPasses(context: PlanContext, schedule: Schedule, others: readonly Pass[]): Programme {
	const { chosen, crop, tilleringN } = context;
	const { first: applied } = byCropOfYear(context.applied, context);
	const { first: beside } = byCropOfYear(others, context);
	const steps = openSteps(context, schedule);
	const tillering = tilleringN === undefined ? undefined : steps.find(({ role }) => role === 'tillering');
	const dressed = tillering ? tilleringN! : 0;
	const unplaced =
		tilleringN !== undefined && tilleringN >= LEAST_WORTH_A_PASS && !tillering
			? [
					`The ${amountText(context.units).ofArea(tilleringN, 'N')} of the tiller count found no pass: a later one is applied already.`
				]
			: [];
	const wanted = (chosen.N ?? dressed) - carried([...applied, ...beside], 'N', context);
	if (wanted < LEAST_WORTH_A_PASS) return { passes: [], notes: unplaced };
	if (schedule.nitrogen.length === 0) {
		return {
			passes: [],
			notes: [`${crop.name} is planned without nitrogen passes; add one by hand if it needs one.`]
		};
	}
	const room = nitrogenRoom(context);
	const before = [...applied, ...beside];
	const ceilings = steps.map((step) => room(step.date, false, before));
	const shares = sharesOf(wanted, steps, tillering, dressed, before, room, context);
	const used = steps.filter((_, index) => shares[index]! >= LEAST_WORTH_A_PASS);
	const first = steps.findIndex((step) => step !== tillering);
	const forced = first >= 0 && wanted - dressed > (valueOf(ceilings[first]!) ?? Infinity);
	const divided = steps.some(({ shareN }) => shareN !== undefined);
	const split = used.length > 1 && forced && !divided ? splitReason(context, ceilings, wanted) : '';
	const passes = used.map((step) => {
		const share = shares[steps.indexOf(step)]!;
		const pass = passOf(step, context, productFor(share, productOf(step, context.products), 'N'), 'lb/ac');
		const reason = step === tillering ? `By the tiller count. ${step.reason}` : step.reason;
		return { ...pass, date: step.date, reason: [reason, split].filter(Boolean).join(' ') };
	});
	const left = wanted - shares.reduce((sum, share) => sum + share, 0);
	const notes = [
		...unplaced,
		...(left >= LEAST_WORTH_A_PASS
			? [
					`${amountText(context.units).ofArea(left, 'N')} found no place: the soil can hold too little in ${steps.length} ${steps.length === 1 ? 'pass' : 'passes'}. Add a pass, or lower the rate.`
				]
			: [])
	];
	return { passes, notes };
}

/**
 * The schedule's nitrogen steps that are still open, each with its day. Where none is left, the last one in the crop
 * that was missed goes on the day of the test.
 */
function openSteps(context: PlanContext, { nitrogen }: Schedule): (ScheduleStep & { date: string })[] {
	const { products, notBefore = '' } = context;
	const lastApplied = byCropOfYear(context.applied, context)
		.first.filter((pass) => passNutrient(pass, productOf(pass, products), 'N') > 0)
		.reduce((last, { date }) => (date > last ? date : last), '');
	const due = nitrogen
		.map((step) => ({ ...step, date: dayOf(step, context) }))
		.filter(({ date }) => date > lastApplied);
	const open = due.filter(({ date }) => date >= notBefore);
	if (open.length > 0) return open;
	const missed = due
		.filter(({ daysFromPlanting }) => daysFromPlanting > 0)
		.sort((a, b) => a.date.localeCompare(b.date));
	const last = missed.at(-1);
	return last ? [{ ...last, date: notBefore }] : [];
}

/** A dressing by a tiller count goes within days of it, whatever the schedule says. */
function dayOf(step: ScheduleStep, context: PlanContext): string {
	const { tilleringN, tillersCountedOn } = context;
	const counted = step.role === 'tillering' && tilleringN !== undefined && tillersCountedOn !== undefined;
	return counted ? shiftDate(tillersCountedOn, AFTER_COUNT_DAYS) : dateOf(step, context);
}

function valueOf(answer: Answer): number | undefined {
	return answer.applies ? answer.value : undefined;
}

/**
 * Pounds of nitrogen for each step: the tillering application its own, the rest over as few of the others, in the order of the schedule,
 * as have room for it.
 */
function sharesOf(
	wanted: number,
	steps: readonly (ScheduleStep & { date: string })[],
	tillering: ScheduleStep | undefined,
	dressed: number,
	before: readonly Pass[],
	room: NitrogenRoom,
	context: PlanContext
): number[] {
	const sum = (shares: readonly number[]) => shares.reduce((all, one) => all + one, 0);
	const planned = plannedShares(wanted, steps);
	const slot = (step: ScheduleStep & { date: string }, most: number): Slot => ({
		most,
		passWith: (pounds) => ({
			...passOf(step, context, productFor(pounds, productOf(step, context.products), 'N'), 'lb/ac'),
			date: step.date
		})
	});
	if (planned) {
		const slots = steps.map((step, at) => slot(step, planned[at]!));
		return placeNitrogen(wanted, slots, before, room, context.products, 'early');
	}
	const fixed = steps.filter((step) => step === tillering);
	const own = placeNitrogen(
		Math.min(dressed, wanted),
		fixed.map((step) => slot(step, dressed)),
		before,
		room,
		context.products
	);
	const taken = [
		...before,
		...fixed.flatMap((step, at) => (own[at]! > 0 ? [slot(step, dressed).passWith(own[at]!)] : []))
	];
	const rest = wanted - sum(own);
	const open = steps.filter((step) => step !== tillering);
	let shares: number[] = [];
	let used: typeof open = [];
	for (let count = 1; count <= open.length && sum(shares) < rest - 1e-9; count++) {
		used = open.slice(0, count).sort((a, b) => a.date.localeCompare(b.date));
		const slots = used.map((step) => slot(step, step.maxN ?? Infinity));
		shares = placeNitrogen(rest, slots, taken, room, context.products);
	}
	return steps.map((step) => {
		if (step === tillering) return own[0] ?? 0;
		const at = used.indexOf(step);
		return at < 0 ? 0 : shares[at]!;
	});
}

function splitReason(
	{ holdingLimit, holdingRoom, units }: PlanContext,
	ceilings: readonly Answer[],
	wanted: number
): string {
	const pounds = ceilings.flatMap((ceiling) => (ceiling.applies ? [ceiling.value] : []));
	if (pounds.length === 0 || !holdingLimit.applies) return '';
	const say = amountText(units);
	const [least, most] = [Math.min(...pounds), Math.max(...pounds)];
	const from = say.bare(least) === say.bare(most) ? '' : `${say.bare(least)} to `;
	const held = holdingRoom.applies
		? `has room for ${from}${say.bare(most)} of the ${say.ofArea(holdingLimit.value, 'N')} it can hold`
		: `can hold ${from}${say.ofArea(most, 'N')}`;
	return `Split because the soil ${held} at one time, and ${say(wanted)} are wanted.`;
}

function passOf(step: ScheduleStep, context: PlanContext, rate: number, unit: Pass['unit']): Pass {
	return {
		id: step.id,
		date: dateOf(step, context),
		label: step.label,
		product: step.product,
		rate,
		unit,
		placement: step.placement,
		reason: step.reason,
		...(step.fromStage === undefined ? {} : { fromStage: step.fromStage })
	};
}
