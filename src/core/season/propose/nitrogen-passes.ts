import { amountText } from '../../units/amount-text';
import type { Pass } from '../../schema-types';
import { nitrogenRoom, type NitrogenRoom } from '../plan/pass/pass-ceiling';
import { carried } from '../plan/pass/carried';
import { productFor } from '../plan/pass/pass-nutrients';
import { needlessAdditive } from '../checks/urea/additive-pathway';
import { productOf, type PlanContext } from '../plan/plan-context';
import { plannedShares } from '../schedule/planned-shares';
import { byCropOfYear } from '../schedule/second-crop';
import { daysBetween } from '../weather/season-weather';
import { openSteps, stepsBetween, type DatedStep } from './nitrogen-steps';
import { passOf } from './pass-of-step';
import { LEAST_WORTH_A_PASS, placeNitrogen, type Slot } from './place-nitrogen';
import type { Programme } from './programme';

/** Days around a counted dressing whose nitrogen counts as part of it: judgement. */
const SAME_DRESSING_DAYS = 14;
const SLACK_LB = 1e-6;

/** Pounds of nitrogen on one step of a schedule. */
interface Dose {
	step: DatedStep;
	pounds: number;
	inhibitor?: true;
}

/** How the nitrogen of a plan may be put on: the steps, and whether an inhibitor makes more room. */
interface Way {
	steps: readonly DatedStep[];
	inhibitor?: true;
	/** In the shares that the schedule names. */
	shared?: true;
}

/**
 * Passes for the chosen nitrogen, less what the others bring: in as few trips as the ground allows, by the schedule first, then with
 * smaller passes between, then with an inhibitor as well. What still finds no place is said.
 * @param others passes that are proposed beside them, or stay in the plan
 */
export function nitrogenPasses(context: PlanContext, others: readonly Pass[]): Programme {
	const { chosen, crop, schedule, tilleringN, units } = context;
	const before = [...byCropOfYear(context.applied, context).first, ...byCropOfYear(others, context).first];
	const steps = openSteps(context);
	const tillering = tilleringN === undefined ? undefined : steps.find(({ role }) => role === 'tillering');
	const say = amountText(units);
	const notes =
		tilleringN !== undefined && tilleringN >= LEAST_WORTH_A_PASS && !tillering
			? [`The ${say.ofArea(tilleringN, 'N')} of the tiller count found no pass: a later one is applied already.`]
			: [];
	const wanted = (chosen.N ?? tilleringN ?? 0) - carried(before, 'N', context);
	if (wanted < LEAST_WORTH_A_PASS) return { passes: [], notes };
	if (!schedule || schedule.nitrogen.length === 0) {
		const none = `${crop.name} is planned without nitrogen passes; add one by hand if it needs one.`;
		return { passes: [], notes: [none] };
	}
	if (steps.length === 0) {
		const past = `It is too late for nitrogen: ${say.ofArea(wanted, 'N')} is not planned. Record the passes that were applied.`;
		return { passes: [], notes: [...notes, past] };
	}
	const room = nitrogenRoom(context);
	const counted = tillering ? countedDose(tillering, tilleringN!, wanted, before, room, context) : [];
	const rest = wanted - sumOf(counted);
	const open = steps.filter((step) => step !== tillering);
	const doses = [...counted, ...bestWay(rest, open, [...before, ...passesFor(counted, context)], room, context)]
		.filter(({ pounds }) => pounds >= LEAST_WORTH_A_PASS)
		.sort((a, b) => a.step.date.localeCompare(b.step.date));
	const left = wanted - sumOf(doses);
	return {
		passes: withReasons(passesFor(doses, context), doses, tillering, rest, room, before, context),
		notes: left < LEAST_WORTH_A_PASS ? notes : [...notes, shortText(left, context)]
	};
}

/** The dressing that a tiller count gives, less what goes on with it, such as the nitrogen of ammonium sulfate. */
function countedDose(
	step: DatedStep,
	byCount: number,
	wanted: number,
	before: readonly Pass[],
	room: NitrogenRoom,
	context: PlanContext
): Dose[] {
	const along = before.filter(({ date }) => Math.abs(daysBetween(date, step.date)) <= SAME_DRESSING_DAYS);
	const pounds = Math.min(wanted, Math.max(0, byCount - carried(along, 'N', context)));
	const [placed] = placeNitrogen(pounds, [slotOf({ step, pounds }, context)], before, room, context.products);
	return [{ step, pounds: placed! }];
}

/** The first way that places all, else the one that places most. */
function bestWay(
	wanted: number,
	steps: readonly DatedStep[],
	before: readonly Pass[],
	room: NitrogenRoom,
	context: PlanContext
): Dose[] {
	if (wanted < LEAST_WORTH_A_PASS) return [];
	const more = [...steps, ...stepsBetween(steps, context)];
	const ways: Way[] = [{ steps, shared: true }, { steps }, { steps: more }, { steps: more, inhibitor: true }];
	let best: Dose[] = [];
	for (const way of ways) {
		const doses = fewestDoses(wanted, way, before, room, context);
		if (sumOf(doses) > sumOf(best) + SLACK_LB) best = doses;
		if (sumOf(best) >= wanted - LEAST_WORTH_A_PASS) break;
	}
	return best;
}

/** Over as few of the steps, in the order of the schedule, as have room for it. */
function fewestDoses(
	wanted: number,
	{ steps, inhibitor, shared }: Way,
	before: readonly Pass[],
	room: NitrogenRoom,
	context: PlanContext
): Dose[] {
	const dose = (step: DatedStep, pounds: number): Dose => ({ step, pounds, ...(inhibitor ? { inhibitor } : {}) });
	const planned = shared && plannedShares(wanted, steps);
	if (planned) {
		const slots = steps.map((step, at) => slotOf(dose(step, planned[at]!), context));
		return placeNitrogen(wanted, slots, before, room, context.products, 'early').map((pounds, at) =>
			dose(steps[at]!, pounds)
		);
	}
	let doses: Dose[] = [];
	for (let count = 1; count <= steps.length && sumOf(doses) < wanted - SLACK_LB; count++) {
		const used = steps.slice(0, count).sort((a, b) => a.date.localeCompare(b.date));
		const slots = used.map((step) => slotOf(dose(step, step.maxN ?? Infinity), context));
		doses = placeNitrogen(wanted, slots, before, room, context.products).map((pounds, at) => dose(used[at]!, pounds));
	}
	return doses;
}

function slotOf({ step, pounds: most, inhibitor }: Dose, context: PlanContext): Slot {
	return { most, passWith: (pounds) => passWith({ step, pounds, ...(inhibitor ? { inhibitor } : {}) }, context) };
}

function passWith({ step, pounds, inhibitor }: Dose, context: PlanContext): Pass {
	const product = productOf(step, context.products);
	const pass = { ...passOf(step, context, productFor(pounds, product, 'N'), 'lb/ac'), date: step.date };
	if (!inhibitor || product.slowRelease) return pass;
	const guarded: Pass = { ...pass, additive: 'nitrification inhibitor' };
	return needlessAdditive(guarded, product, context) ? pass : guarded;
}

function passesFor(doses: readonly Dose[], context: PlanContext): Pass[] {
	return doses.filter(({ pounds }) => pounds > 0).map((dose) => passWith(dose, context));
}

function sumOf(doses: readonly Dose[]): number {
	return doses.reduce((sum, { pounds }) => sum + pounds, 0);
}

/** Why each pass stands where it does: its step, the count, and where the soil cannot hold it all at once, that. */
function withReasons(
	passes: readonly Pass[],
	doses: readonly Dose[],
	tillering: DatedStep | undefined,
	wanted: number,
	room: NitrogenRoom,
	before: readonly Pass[],
	context: PlanContext
): Pass[] {
	const shared = doses.some(({ step }) => step.shareN !== undefined);
	const first = room(doses[0]?.step.date ?? context.today, false, before);
	const split = doses.length > 1 && !shared && first.applies && wanted > first.value ? splitText(context) : '';
	return passes.map((pass, at) => {
		const counted = doses[at]!.step === tillering ? 'By the tiller count.' : '';
		// Said once, not on every pass of the sheet.
		return { ...pass, reason: [counted, pass.reason, at === 0 ? split : ''].filter(Boolean).join(' ') };
	});
}

function splitText({ holdingLimit, units }: PlanContext): string {
	if (!holdingLimit.applies) return '';
	return `Split: this soil holds about ${amountText(units).ofArea(holdingLimit.value, 'N')} at a time.`;
}

function shortText(left: number, { holdingLimit, units }: PlanContext): string {
	const say = amountText(units);
	const because = holdingLimit.applies
		? `this soil holds about ${say.ofArea(holdingLimit.value, 'N')} at a time`
		: 'the schedule has no more passes';
	return `This plan is ${say.ofArea(left, 'N')} short, because ${because}. Lower the rate, or feed the rest through irrigation water.`;
}
