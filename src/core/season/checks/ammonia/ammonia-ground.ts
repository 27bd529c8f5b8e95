import { MM_PER_IN } from '../../../units/factors';
import { formatNumber } from '../../../units/display';
import type { Pass, PassCheck } from '../../../schema-types';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { knownDays, sourceOfDays } from '../../weather/known-weather';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';

/** So little rain in so many days leaves clods, mm; so much in so few leaves smeared slots: judgement. */
const DRY = { days: 14, mm: 6 } as const;
const WET = { days: 3, mm: 30 } as const;
const WAIT_DAYS = 7;

/** Ammonia needs moist ground that closes behind the knife. */
export const ammoniaGroundCheck: SeasonCheck = (passes, context) =>
	passes.flatMap((pass) =>
		productOf(pass, context.products).hazards.includes('ammonia') ? (complaint(pass, context) ?? []) : []
	);

function complaint(pass: Pass, context: PlanContext): PassCheck | undefined {
	const base = { rule: 'ammonia-ground', pass: pass.id, basis: 'practice' as const };
	const later = movedTo(pass, shiftDate(pass.date, WAIT_DAYS), 'and look again');
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
function knownGround(date: string, { weather }: PlanContext): string | undefined {
	const before = (days: number) => knownDays(weather, shiftDate(date, -days), days);
	const sum = (days: readonly { rainMm: number }[]) => days.reduce((all, { rainMm }) => all + rainMm, 0);
	const inches = (mm: number) => formatNumber(mm / MM_PER_IN, 'in');
	const wet = before(WET.days);
	if (wet && sum(wet) > WET.mm) {
		const source = sourceOfDays(weather, shiftDate(date, -WET.days), WET.days);
		return `${inches(sum(wet))} in of rain in the ${WET.days} days before ${longDate(date)} ${source}: the slot may not close over the ammonia. Look at the ground.`;
	}
	const dry = before(DRY.days);
	if (dry && sum(dry) < DRY.mm) {
		const source = sourceOfDays(weather, shiftDate(date, -DRY.days), DRY.days);
		return `${inches(sum(dry))} in of rain in the ${DRY.days} days before ${longDate(date)} ${source}: the ground may be too dry and cloddy to hold ammonia. Look at it.`;
	}
	return undefined;
}
