import type { NoGo, Pass } from '../../../schema-types';
import { isLight } from '../../../reading/soil/light-soil';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { daysBetween, shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';

/** The adviser's own days on which something must not go on. */
export const noGoCheck: SeasonCheck = (passes, context) =>
	passes.flatMap((pass) =>
		context.houseRules.noGo
			.filter((rule) => isFor(rule, context) && isMeant(rule, pass, context) && isWithin(rule, pass.date))
			.map((rule) => ({
				rule: 'no-go',
				severity: 'stop' as const,
				pass: pass.id,
				text: `Your own list: no ${rule.what === 'everything' ? 'passes' : rule.what} from ${rule.from} to ${rule.to}. ${rule.reason}`,
				basis: 'adviser' as const,
				remedies: daysBeside(rule, pass.date).map((date) => movedTo(pass, date))
			}))
	);

/** Rules of other growers are left out before. */
function isFor({ crop, ground }: NoGo, context: PlanContext): boolean {
	return (crop === undefined || crop === context.crop.id) && (ground === undefined || isLight(context));
}

function isMeant({ what }: NoGo, pass: Pass, { products }: PlanContext): boolean {
	const product = productOf(pass, products);
	if (what === 'nitrogen') return passNutrient(pass, product, 'N') > 0;
	if (what === 'phosphate') return passNutrient(pass, product, 'P2O5') > 0;
	return true;
}

/** A span may run over the turn of the year. */
function isWithin({ from, to }: NoGo, date: string): boolean {
	const day = date.slice(5);
	return from <= to ? day >= from && day <= to : day >= from || day <= to;
}

/** The days before and after a span, the nearer one first. */
function daysBeside(rule: NoGo, date: string): string[] {
	const days = [dayBefore(rule, date), dayAfter(rule, date)];
	return days.sort((a, b) => Math.abs(daysBetween(date, a)) - Math.abs(daysBetween(date, b)));
}

function dayBefore({ from, to }: NoGo, date: string): string {
	const year = Number(date.slice(0, 4)) - (from > to && date.slice(5) <= to ? 1 : 0);
	return shiftDate(`${year}-${from}`, -1);
}

function dayAfter({ from, to }: NoGo, date: string): string {
	const year = Number(date.slice(0, 4)) + (from > to && date.slice(5) >= from ? 1 : 0);
	return shiftDate(`${year}-${to}`, 1);
}
