import type { Pass } from '../../schema-types';
import { inCups } from '../plan/pass/palm-cups';
import type { PlanContext } from '../plan/plan-context';
import { byCropOfYear, secondContext } from '../schedule/second-crop';
import { dateOf } from '../schedule/step-date';
import { usualStages } from '../stages/stage-dates';
import { secondCropFrom } from '../stages/stages-of-year';
import { daysBetween, shiftDate } from '../weather/season-weather';
import type { Programme } from './programme';
import { proposeProgramme } from './propose-programme';
import { settleProgramme } from './settle-programme';
import { usualPlantingDate } from '../schedule/usual-planting';

/**
 * Passes for all that was chosen in a year, as the rules let them be: those of its crop, and those that bring the nitrogen of a second crop by the schedule of that:
 * as far along as that crop is where it is planted on its usual day, and none earlier than its own days begin.
 * @param kept passes that stay in the plan beside it, such as manure; what they bring is taken off
 */
export function proposeYear(context: PlanContext, kept: readonly Pass[] = []): Programme {
	const { passes, notes } = settleProgramme(byTheSchedules(context, kept), context, [...context.applied, ...kept]);
	return { passes: inCups(passes, context), notes };
}

function byTheSchedules(context: PlanContext, kept: readonly Pass[]): Programme {
	const first = proposeProgramme(context, kept);
	const second = secondContext(context);
	// None was settled on: nothing is planned for it, and nothing is said.
	if (!second || context.second?.nitrogen === undefined) return first;
	const from = secondCropFrom(second);
	const schedule = second.schedule && {
		...second.schedule,
		nitrogen: second.schedule.nitrogen
			.map((step) => ({ ...step, daysFromPlanting: asFarAlong(step.daysFromPlanting, second) }))
			.filter((step) => dateOf(step, second) >= from)
	};
	const then = proposeProgramme({ ...second, schedule }, byCropOfYear(kept, context).then);
	const name = second.crop.name.toLowerCase();
	return {
		passes: [
			...first.passes,
			...then.passes.map((pass) => ({ ...pass, id: `second-${pass.id}`, label: `${pass.label}, ${name}` }))
		],
		notes: [...first.notes, ...then.notes.map((note) => `For the second crop: ${note}`)]
	};
}

/**
 * Days from the planting until a crop stands as it does so many days after its usual planting day: planted into the heat of summer it is
 * there sooner. The same days where its stages are not known or not reached.
 */
function asFarAlong(days: number, { schedule, stages, plantingDate, station }: PlanContext): number {
	if (days <= 0 || !schedule) return days;
	const usual = usualPlantingDate(schedule, Number(plantingDate.slice(0, 4)));
	const stagesFrom = (planted: string) => [
		{ date: planted },
		...usualStages({ stages, plantingDate: planted, station }).filter(({ date }) => date > planted)
	];
	const [asUsual, here] = [stagesFrom(usual), stagesFrom(plantingDate)];
	const day = shiftDate(usual, days);
	const next = asUsual.findIndex(({ date }) => date > day);
	const [from, to] = [here[next - 1]?.date, here[next]?.date];
	if (from === undefined || to === undefined) return days;
	const before = asUsual[next - 1]!.date;
	const along = daysBetween(before, day) / daysBetween(before, asUsual[next]!.date);
	return daysBetween(plantingDate, from) + Math.round(along * daysBetween(from, to));
}
