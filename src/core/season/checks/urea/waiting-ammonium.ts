import { differenceInCalendarDays, parseISO } from 'date-fns';
import { formatNumber } from '../../../units/display';
import { KG_HA_PER_LB_AC } from '../../../units/factors';
import { dressingOfPass } from '../../model/dressing-of-pass';
import { productOf } from '../../plan/plan-context';
import { usualUptake } from '../../model/uptake';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { guardedBy } from '../moved';

/** So much waiting so long on wet ground is worth an inhibitor, lb N/ac and days: judgement. */
const LEAST_LB = 60;
const LONG_DAYS = 35;
/** The uptake that ends the wait. */
const TAKEN_SHARE = 0.1;

/** Ammonium or urea that waits for the crop through warm, wet weeks. */
export const waitingAmmoniumCheck: SeasonCheck = (passes, context) => {
	const { drainage, products, schedule, plantingDate } = context;
	const uptake = usualUptake(context);
	if ((drainage !== 'poor' && drainage !== 'somewhat poor') || !uptake) return [];
	const { harvestDays } = schedule!.uptake!;
	const after = (days: number) => uptake(shiftDate(plantingDate, days));
	const days = Array.from({ length: harvestDays }, (_, day) => day);
	const needed = days.find((day) => after(day) >= TAKEN_SHARE * after(harvestDays)) ?? harvestDays;
	return passes.flatMap((pass) => {
		const dressing = dressingOfPass(pass, productOf(pass, products), 0);
		if (!dressing || dressing.nitrificationInhibitor || Number(pass.date.slice(5, 7)) >= 9) return [];
		const pounds = (dressing.ammonium + dressing.urea) / KG_HA_PER_LB_AC;
		const wait = needed + differenceInCalendarDays(parseISO(plantingDate), parseISO(pass.date));
		if (pounds < LEAST_LB || wait < LONG_DAYS) return [];
		return [
			{
				rule: 'waiting-ammonium',
				severity: 'note' as const,
				pass: pass.id,
				text: `${formatNumber(pounds, 'lb/ac')} lb of ammonium and urea N wait about ${wait} days for the crop on ground with ${drainage} drainage; a nitrification inhibitor would hold them.`,
				basis: 'practice' as const,
				remedies: [guardedBy(pass, 'nitrification inhibitor')]
			}
		];
	});
};
