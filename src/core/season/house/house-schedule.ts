import type { HouseProgramme, Product, Schedule, ScheduleStep } from '../../schema-types';
import type { PlanContext } from '../plan/plan-context';

type Planned = Pick<PlanContext, 'schedule' | 'extras' | 'starter' | 'products'>;

/**
 * The steps that passes are proposed by, as a house programme has them: its own passes of nitrogen, and its products in the place of
 * those named. A product that does not go where the step has it goes where its card says first.
 */
export function byHouse<C extends Planned>(context: C, { nitrogen, products, name }: HouseProgramme): C {
	const take = (step: ScheduleStep): ScheduleStep => {
		const other = products.find(({ instead }) => instead === step.product);
		const card = other && context.products.find(({ id }) => id === other.take);
		return card ? { ...step, product: card.id, placement: placementOf(card, step) } : step;
	};
	const own = nitrogen?.map(({ sharePercent, ...pass }, at): ScheduleStep => ({
		...pass,
		id: `house-${at + 1}`,
		shareN: sharePercent,
		reason: `By the house programme ${name}.`,
		basis: 'adviser'
	}));
	const { schedule, starter } = context;
	const { Mg, Ca, B, Zn, Mn, Cu } = context.extras;
	return {
		...context,
		...(schedule ? { schedule: withSteps(schedule, own ?? schedule.nitrogen.map(take), take) } : {}),
		...(starter ? { starter: { ...starter, step: take(starter.step) } } : {}),
		extras: { Mg: take(Mg), Ca: take(Ca), B: take(B), Zn: take(Zn), Mn: take(Mn), Cu: take(Cu) }
	};
}

function withSteps(schedule: Schedule, nitrogen: ScheduleStep[], take: (step: ScheduleStep) => ScheduleStep): Schedule {
	const { phosphorus, potassium, sulfur } = schedule;
	return {
		...schedule,
		nitrogen,
		phosphorus: take(phosphorus),
		potassium: take(potassium),
		sulfur: take(sulfur)
	};
}

function placementOf({ placements }: Product, { placement }: ScheduleStep): ScheduleStep['placement'] {
	return placements.includes(placement) ? placement : placements[0]!;
}
