import type { Rate, RateNutrient, Severity } from '../schema-types';
import { amountText } from '../units/amount-text';
import type { UnitSystem } from '../units/rate-units';

/** What a chosen rate is held against, lb/ac; a part that is not known is left out. */
export interface ChoiceFacts {
	/** The highest rate that an approach gives for the season, and its guide. */
	highest?: { pounds: number; by: string };
	/** Season total by a test in the crop: nitrogen applied before the test plus the rate it calls for. */
	test?: { pounds: number; by: string };
	/** Mineral nitrogen that was measured in the root zone. */
	mineral?: number;
	/** Nitrogen that the crop takes up at the yield goal. */
	uptake?: number;
}

export interface ChoiceFault {
	severity: Severity;
	text: string;
}

/** Above the highest approach by this share a rate is questioned, from twice of it on stopped; common practice. */
const ABOVE_APPROACHES = { mind: 1.25, stop: 2 } as const;
/** The same of soil and rate together against what the crop takes up: a crop finds about 70 % of it; common practice. */
const ABOVE_UPTAKE = { mind: 1.45, stop: 2 } as const;
/** Pounds that no test or guide can tell apart; common practice. */
const SLACK_LB = 20;

/**
 * What speaks against a rate of a nutrient, gravest first. The one source for the row, the form of an own rate, the season and the sheet.
 * @param pounds lb/ac
 */
export function choiceFaults(
	nutrient: RateNutrient,
	pounds: number,
	{ highest, test, mineral, uptake }: ChoiceFacts,
	units: UnitSystem
): ChoiceFault[] {
	const say = amountText(units);
	const found: ChoiceFault[] = [];
	if (test && pounds > test.pounds + SLACK_LB) {
		const text = `${test.by} calls for ${say(test.pounds)} ${nutrient} in all. ${say(pounds)} is ${say(pounds - test.pounds)} more.`;
		found.push({ severity: test.pounds === 0 ? 'stop' : 'mind', text });
	}
	if (highest && pounds > highest.pounds + SLACK_LB && pounds > ABOVE_APPROACHES.mind * highest.pounds) {
		const text = `${say(pounds)} ${nutrient} is above every approach. The highest is ${say(highest.pounds)} by ${highest.by}.`;
		found.push({ severity: pounds > ABOVE_APPROACHES.stop * highest.pounds ? 'stop' : 'mind', text });
	}
	if (
		mineral !== undefined &&
		uptake !== undefined &&
		pounds + mineral > ABOVE_UPTAKE.mind * uptake &&
		pounds > SLACK_LB
	) {
		const text = `${say(pounds)} N and ${say(mineral)} in the soil are ${say(pounds + mineral)}. The crop takes up about ${say(uptake)} at the goal.`;
		found.push({ severity: pounds + mineral > ABOVE_UPTAKE.stop * uptake ? 'stop' : 'mind', text });
	}
	return found.sort((a, b) => Number(b.severity === 'stop') - Number(a.severity === 'stop'));
}

/**
 * What a chosen rate of a nutrient is held against.
 * @param rates in lb/ac
 * @param chosenBy the approach it was chosen from: it is not held against its own test
 */
export function choiceFacts(
	nutrient: RateNutrient,
	rates: readonly Rate[],
	chosenBy: string | undefined,
	soil: Pick<ChoiceFacts, 'mineral' | 'uptake'>
): ChoiceFacts {
	const own = rates.filter((rate) => rate.nutrient === nutrient && rate.applies && rate.rate !== null);
	const ofSeason = own
		.filter(({ stands }) => stands === undefined)
		.map(({ rate, packTitle, method }) => ({ pounds: rate!, by: packTitle, method }));
	const tested = own.find(({ stands, method }) => stands === 'from now on' && method !== chosenBy);
	const total = tested?.seasonTotal?.applies ? tested.seasonTotal.value : undefined;
	const highest = ofSeason.reduce<(typeof ofSeason)[number] | undefined>(
		(most, one) => (most === undefined || one.pounds > most.pounds ? one : most),
		undefined
	);
	return {
		...(highest ? { highest: { pounds: highest.pounds, by: highest.by } } : {}),
		...(total === undefined ? {} : { test: { pounds: total, by: tested!.title } }),
		...(nutrient === 'N' ? soil : {})
	};
}
