import type { Choice } from '../../core/rates/choose';
import type { PlacedParameters } from '../../core/rates/nitrogen/placed-factor';
import { mineralNitrogen } from '../../core/reading/mineral-nitrogen';
import { placedSchedule } from '../../core/season/placed-schedule';
import { proposeProgramme, type Programme } from '../../core/season/propose-programme';
import { ActionError } from './book/action-error';
import type { Advice } from './field-year';
import type { Library } from './knowledge';

/**
 * The programme that a placed-and-timed factor is valid for, at the rate the factor gives.
 * @throws ActionError where it cannot be planned here, with the reason
 */
export function placedProgramme(
	{ context, site, goal }: Advice,
	{ packs }: Library,
	method: string
): Programme & { choice: Choice } {
	const compiled = packs.rules.find((rule) => rule.method === method && rule.kind.kind === 'placed-factor');
	const p = compiled?.parametersFor(goal.crop) as PlacedParameters | undefined;
	const schedule = p && context.schedule && placedSchedule(context.schedule, p);
	if (!schedule) throw new ActionError(`${method} names no programme for ${context.crop.name.toLowerCase()}.`);
	const residual = mineralNitrogen(site.layers);
	if (!residual.applies) {
		const { reason, remedy } = residual;
		throw new ActionError(`The factor is valid only where the nitrate in the ground is known: ${reason}. ${remedy}`);
	}
	const chosen = { ...context.chosen, N: p.factor * goal.yield_goal };
	return { ...proposeProgramme({ ...context, schedule, chosen }), choice: { nutrient: 'N', method } };
}
