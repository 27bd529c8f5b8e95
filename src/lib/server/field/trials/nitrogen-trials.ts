import { isRecorded } from '../../../../core/trials/plots/measures';
import { nitrogenSite, type NitrogenSite } from '../../../../core/trials/nitrogen/nitrogen-site';
import { triesNitrogenAlone } from '../../../../core/trials/design/treatments';
import { siteNames } from '../../../../core/trials/sites/site-names';
import type { Desk } from '../../desk';
import { findFieldYear } from '../../stores/field-years';
import { pricesOn } from '../../stores/prices';
import type { BookTrial } from '../../stores/trials';
import { ratesOfTrial } from './rates-of-trial';
import { termsOfTrial } from './trial-terms';

/** The book's trials of nitrogen rates by crop, each from its own optimum at today's prices, and why others have none. */
export function nitrogenTrials(
	desk: Desk,
	trials: readonly BookTrial[]
): { crops: { crop: string; sites: NitrogenSite[] }[]; left: { site: string; reason: string }[] } {
	const prices = pricesOn(desk.book, desk.today);
	const nitrogen = prices.get('nutrient:N');
	const names = siteNames(trials);
	const found = trials
		.map((trial, at) => ({ trial, site: names[at]! }))
		.filter(({ trial }) => triesNitrogenAlone(trial.plan) && trial.records.some(isRecorded))
		.map(({ trial, site }) => {
			const { standardMoisturePercent, yieldUnit, crop } = termsOfTrial(desk, trial);
			const id = findFieldYear(desk.book, trial.fieldId, trial.year)?.crop ?? '';
			const grain = prices.get(`grain:${id}`) ?? trial.plan.price;
			const priceRatio = nitrogen !== undefined && grain ? nitrogen / grain : undefined;
			const observations = ratesOfTrial(trial, standardMoisturePercent);
			return { site, crop, answer: nitrogenSite({ site, yieldUnit, observations, priceRatio }) };
		});
	const sitesOf = (of: string) => found.flatMap(({ crop, answer }) => (crop === of && answer.applies ? [answer] : []));
	return {
		crops: [...new Set(found.map(({ crop }) => crop))]
			.map((crop) => ({ crop, sites: sitesOf(crop) }))
			.filter(({ sites }) => sites.length > 0),
		left: found.flatMap(({ site, answer }) => (answer.applies ? [] : [{ site, reason: answer.reason }]))
	};
}
