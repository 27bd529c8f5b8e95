import { quantityIn } from '../../units/amount-text';
import { limeApplications } from '../../rates/lime/lime-applications';
import type { Pass, Schedule, ScheduleStep } from '../../schema-types';
import { LB_PER_SHORT_TON } from '../../units/factors';
import { poundsPerAcre } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';
import { shiftDate } from '../weather/season-weather';
import { passOf } from './pass-of-step';
import type { Programme } from './programme';

/** This season's share of the lime, and what is left for the next ones. */
export function limePass(context: PlanContext, { lime }: Schedule): Programme {
	const limed = context.applied
		.map((pass) => ({ pass, product: productOf(pass, context.products) }))
		.filter(({ product }) => product.lime)
		.reduce((sum, { pass, product }) => sum + poundsPerAcre(pass, product) / LB_PER_SHORT_TON, 0);
	const wanted = Math.max(0, (context.chosen.lime ?? 0) - limed);
	const { applications, why } = limeApplications(wanted, context.liming.placement, context.units);
	const [now, ...later] = applications;
	if (!now) return { passes: [], notes: [] };
	const surface = context.liming.placement === 'surface';
	const step: ScheduleStep = {
		...lime,
		product: context.liming.product,
		...(surface ? { placement: 'broadcast' as const, label: 'Lime, on the surface' } : {})
	};
	const planned = stillAhead(passOf(step, context, now.rate, 'short ton/ac'), context);
	const pass = { ...planned, date: offTheCropBefore(planned, context), reason: `${lime.reason} ${why}` };
	if (later.length === 0) return { passes: [pass], notes: [] };
	const left = later.reduce((sum, { rate }) => sum + rate, 0);
	const seasons = later.length === 1 ? 'the next season' : `the next ${later.length} seasons`;
	return {
		passes: [pass],
		notes: [`${why} ${quantityIn(context.units, left, 'short ton/ac')} of it are left for ${seasons}.`]
	};
}

/** Nothing is worked in while the crop before stands: then it waits for that harvest. */
function offTheCropBefore({ date, placement }: Pass, { cropBefore }: PlanContext): string {
	const stands = cropBefore && date >= cropBefore.from && date <= cropBefore.to;
	return stands && placement === 'incorporated' ? shiftDate(cropBefore.to, 1) : date;
}

/** Lime whose day is past goes on as soon as it can. */
function stillAhead(pass: Pass, { today }: PlanContext): Pass {
	return pass.date < today ? { ...pass, date: today } : pass;
}
