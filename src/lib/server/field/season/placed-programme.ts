import { parametersOf } from '../../../../core/packs/parameters-of';
import type { Choice } from '../../../../core/rates/choose';
import { programmeFault } from '../../../../core/rates/nitrogen/placed-programme';
import { nitrogenProgramme } from '../../../../core/season/propose/nitrogen-programme';
import { placedFactor } from '../../../../core/rates/nitrogen/placed-factor';
import { mineralNitrogen } from '../../../../core/reading/soil/mineral-nitrogen';
import { placedSchedule } from '../../../../core/season/propose/placed-schedule';
import { passNutrient } from '../../../../core/season/plan/pass/pass-nutrients';
import { productOf } from '../../../../core/season/plan/plan-context';
import type { Programme } from '../../../../core/season/propose/programme';
import { proposeProgramme } from '../../../../core/season/propose/propose-programme';
import { proposeYear } from '../../../../core/season/propose/propose-year';
import type { Pass } from '../../../../core/schema-types';
import { amountText } from '../../../../core/units/amount-text';
import { ActionError } from '../../book/action-error';
import type { Advice } from '../field-year';
import type { Library } from '../../knowledge';

/**
 * The programme that a placed-and-timed factor is valid for, at the rate the factor gives.
 * @param kept passes that stay in the plan beside it, such as manure; what they bring is taken off
 * @throws ActionError where it cannot be planned here, with the reason
 */
export function placedProgramme(
	{ context, site, goal }: Advice,
	{ packs }: Library,
	method: string,
	kept: readonly Pass[] = []
): Programme & { choice: Choice } {
	const compiled = packs.rules.find((rule) => rule.method === method);
	const p = parametersOf(placedFactor, compiled, goal.crop);
	const schedule = p && context.schedule && placedSchedule(context.schedule, p);
	if (!schedule) throw new ActionError(`${method} names no programme for ${context.crop.name.toLowerCase()}.`);
	const residual = mineralNitrogen(site.soil);
	if (!residual.applies) {
		const { reason, remedy } = residual;
		throw new ActionError(`The factor is valid only where the soil nitrate is known: ${reason}. ${remedy}`);
	}
	const chosen = { ...context.chosen, N: p.factor * goal.yield_goal };
	const broadcastN = [...kept, ...proposeProgramme({ ...context, schedule, chosen }, kept).passes]
		.filter(({ placement }) => placement === 'broadcast')
		.reduce((sum, pass) => sum + passNutrient(pass, productOf(pass, context.products), 'N'), 0);
	const reduced = placedSchedule(schedule, p, broadcastN);
	if (!reduced) {
		const broadcast = amountText(context.units).ofArea(broadcastN, 'N');
		throw new ActionError(`Other passes broadcast ${broadcast} already, as much as the starter may supply.`);
	}
	const placed = { title: compiled!.rule.title, parameters: p };
	const programme = proposeYear({ ...context, schedule: reduced, chosen, placed }, kept);
	const booked = [...context.applied, ...kept, ...programme.passes].map((plan) => ({ plan, doneOn: null }));
	const fault = programmeFault(
		nitrogenProgramme(booked, context.products, context.plantingDate),
		p,
		amountText(context.units)
	);
	if (fault) throw new ActionError(`The factor does not hold for what can still be planned: ${fault}.`);
	return { ...programme, choice: { nutrient: 'N', method, seen: chosen.N } };
}
