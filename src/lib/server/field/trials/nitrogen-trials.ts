import { nitrogenSite, type NitrogenSite } from '../../../../core/trials/nitrogen/nitrogen-site';
import { triesNitrogenAlone } from '../../../../core/trials/design/treatments';
import type { Desk } from '../../desk';
import { findFieldYear } from '../../stores/field-years';
import { pricesOn } from '../../stores/prices';
import type { BookTrial } from '../../stores/trials';
import { ratesOfTrial } from './rates-of-trial';
import { termsOfTrial } from './trial-terms';

/** The book's trials of nitrogen rates, each from its own optimum at today's prices, and why others have none. */
export function nitrogenTrials(
	desk: Desk,
	trials: readonly BookTrial[]
): { sites: NitrogenSite[]; left: { site: string; reason: string }[] } {
	const prices = pricesOn(desk.book, desk.today);
	const nitrogen = prices.get('nutrient:N');
	const found = trials
		.filter(({ plan, records }) => triesNitrogenAlone(plan) && records.length > 0)
		.map((trial) => {
			const { standardMoisturePercent, yieldUnit } = termsOfTrial(desk, trial);
			const crop = findFieldYear(desk.book, trial.fieldId, trial.year)?.crop ?? '';
			const grain = prices.get(`grain:${crop}`) ?? trial.plan.price;
			const site = `${trial.field} ${trial.year}`;
			const priceRatio = nitrogen !== undefined && grain ? nitrogen / grain : undefined;
			const observations = ratesOfTrial(trial, standardMoisturePercent);
			return { site, answer: nitrogenSite({ site, yieldUnit, observations, priceRatio }) };
		});
	return {
		sites: found.flatMap(({ answer }) => (answer.applies ? [answer] : [])),
		left: found.flatMap(({ site, answer }) => (answer.applies ? [] : [{ site, reason: answer.reason }]))
	};
}
