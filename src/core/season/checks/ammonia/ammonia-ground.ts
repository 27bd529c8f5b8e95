import { rainText } from '../../../units/weather-units';
import type { Pass, PassCheck } from '../../../schema-types';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { knownDays, sourceOfDays } from '../../weather/known-weather';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, cloddy, smeared, waitDays } = RULES['ammonia-ground'];

/** Ammonia needs moist ground that closes behind the knife. */
export const ammoniaGroundCheck: SeasonCheck = (passes, context) =>
	passes.flatMap((pass) =>
		productOf(pass, context.products).hazards.includes('ammonia') ? (complaint(pass, context) ?? []) : []
	);

function complaint(pass: Pass, context: PlanContext): PassCheck | undefined {
	const base = { rule: 'ammonia-ground', pass: pass.id, basis };
	const later = movedTo(pass, shiftDate(pass.date, waitDays), 'and look again');
	const waiting = { ...later, passes: later.passes.map((moved) => ({ ...moved, ground: 'moist' as const })) };
	if (pass.ground === 'moist') return undefined;
	if (pass.ground === 'dry and cloddy') {
		const text =
			'Ammonia into dry, cloddy ground escapes through the slot before it is held: wait for moist ground that closes behind the knife.';
		return { ...base, severity: 'stop', text, remedies: [waiting] };
	}
	if (pass.ground === 'too wet') {
		const text =
			'Ammonia into wet ground leaves a smeared slot that stays open: wait until it closes behind the knife.';
		return { ...base, severity: 'stop', text, remedies: [waiting] };
	}
	const found = knownGround(pass.date, context);
	return found === undefined ? undefined : { ...base, severity: 'mind', text: found, remedies: [later] };
}

/** What the rain of the days before says, where they are known. */
function knownGround(date: string, { weather, units }: PlanContext): string | undefined {
	const before = (days: number) => knownDays(weather, shiftDate(date, -days), days);
	const sum = (days: readonly { rainMm: number }[]) => days.reduce((all, { rainMm }) => all + rainMm, 0);
	const wet = before(smeared.days);
	if (wet && sum(wet) > smeared.mm) {
		const source = sourceOfDays(weather, shiftDate(date, -smeared.days), smeared.days);
		return `${rainText(sum(wet), units)} of rain in the ${smeared.days} days before ${longDate(date)} ${source}: the slot may not close over the ammonia. Look at the ground.`;
	}
	const dry = before(cloddy.days);
	if (dry && sum(dry) < cloddy.mm) {
		const source = sourceOfDays(weather, shiftDate(date, -cloddy.days), cloddy.days);
		return `${rainText(sum(dry), units)} of rain in the ${cloddy.days} days before ${longDate(date)} ${source}: the ground may be too dry and cloddy to hold ammonia. Look at it.`;
	}
	return undefined;
}
