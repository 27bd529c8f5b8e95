import { amountText } from '../../../units/amount-text';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { KG_HA_PER_LB_AC } from '../../../units/factors';
import { dressingOfPass } from '../../model/dressing-of-pass';
import { productOf } from '../../plan/plan-context';
import { usualUptake } from '../../model/growth/uptake';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { guardedBy } from '../moved';
import { RULES } from '../season-rules';

const { basis, leastLb, longDays, takenShare } = RULES['waiting-ammonium'];

/** Ammonium or urea that waits for the crop through warm, wet weeks. */
export const waitingAmmoniumCheck: SeasonCheck = (passes, context) => {
	const { drainage, products, schedule, plantingDate, units } = context;
	const uptake = usualUptake(context);
	// Trees take nitrogen up by the doses of their schedule: there is no wait for a crop to come up.
	if ((drainage !== 'poor' && drainage !== 'somewhat poor') || !uptake || !schedule?.uptake) return [];
	const { harvestDays } = schedule.uptake;
	const after = (days: number) => uptake(shiftDate(plantingDate, days));
	const days = Array.from({ length: harvestDays }, (_, day) => day);
	const needed = days.find((day) => after(day) >= takenShare * after(harvestDays)) ?? harvestDays;
	return passes.flatMap((pass) => {
		const dressing = dressingOfPass(pass, productOf(pass, products), 0);
		if (!dressing || dressing.nitrificationInhibitor || Number(pass.date.slice(5, 7)) >= 9) return [];
		const pounds = (dressing.ammonium + dressing.urea) / KG_HA_PER_LB_AC;
		const wait = needed + differenceInCalendarDays(parseISO(plantingDate), parseISO(pass.date));
		if (pounds < leastLb || wait < longDays) return [];
		return [
			{
				rule: 'waiting-ammonium',
				severity: 'note' as const,
				pass: pass.id,
				text: `${amountText(units)(pounds)} of ammonium and urea N wait about ${wait} days for the crop on ground with ${drainage} drainage; a nitrification inhibitor would hold them.`,
				basis,
				remedies: [guardedBy(pass, 'nitrification inhibitor')]
			}
		];
	});
};
