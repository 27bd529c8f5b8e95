import { notApplicable, type Figure, type NotApplicable } from '../../figure/figure';
import type { AnovaRow, TrialAnswer, TrialMeasure, TrialObservation, TrialPlan, TrialRecord } from '../../schema-types';
import { answerTrial } from '../answer-trial';
import { treatmentOf } from '../analysis/plots';
import { placeOfPlot } from '../design/plot-number';
import { measureOf } from '../plots/measures';
import { atStandardMoisture } from '../plots/standard-moisture';
import { anovaFigures, type TestFigures } from './anova-figures';
import { moneyOfTreatments, type TreatmentMoney } from './money';
import { moneySentence, paragraphOf } from './paragraph';
import { meanFigures, trialFigures, type MeanFigures } from './trial-figures';

/** A name that no factor of a plan can have. */
const GROUND = 'ground of the block';

/** What a trial says of one measure. */
export interface TrialReading {
	applies: true;
	measure: TrialMeasure;
	answer: TrialAnswer;
	/** Where blocks lie on ground of several kinds: what each says on its own. */
	grounds: { ground: string; answer: TrialAnswer }[];
	/** Whether treatments work otherwise on one ground than on another. */
	byGround: AnovaRow | undefined;
	/** Of yields that have a price. */
	money: TreatmentMoney[];
	/** What stands behind each mean of the answer, in its order. */
	means: MeanFigures[];
	/** Least differences and the coefficient of variation, with what they are made of. */
	figures: Figure[];
	/** What stands behind each F of the analysis, in its order. */
	tests: (TestFigures | undefined)[];
	/** All of it in one paragraph. */
	verdict: string;
	/** Its money, else its statistics, for a list. */
	headline: string;
	/** What the trial does not show. */
	limits: string[];
}

/** What is known beside the trial itself. */
export interface ReadingTerms {
	/** Moisture that the crop is paid by, percent. */
	standardMoisturePercent?: number | undefined;
	/** Confidence; 0.95 where left out. */
	level?: number;
	/** What a yield is told in: bu/ac. */
	yieldUnit: string;
}

/**
 * Reads a trial: variance and means by its design, each kind of ground on its own, money, and a verdict in words.
 * @returns why it says nothing yet, where fewer than two treatments were measured
 */
export function readTrial(
	record: TrialRecord,
	measure: TrialMeasure,
	terms: ReadingTerms
): TrialReading | NotApplicable {
	const { plan } = record;
	const observations = observationsOf(record, measure, terms);
	const { name } = measureOf(measure);
	const used = observations.filter(({ setAside }) => setAside === undefined);
	const short = plan.factors.find((factor) => new Set(used.map(({ levels }) => levels[factor.name])).size < 2);
	if (short) {
		return notApplicable(
			name,
			used.length === 0 ? 'nothing was measured on the plots yet' : `only one level of ${short.name} was measured`,
			'Type it by plot, import the data sheet, or cut a yield layer by the plots.'
		);
	}
	const answer = answerOf(plan, used.length < observations.length ? observations : used, terms);
	const kinds = [...new Set(plan.grounds ?? [])].filter(Boolean);
	const groundOf = ({ block }: TrialObservation) => plan.grounds?.[Number(block) - 1] ?? '';
	const grounds =
		kinds.length < 2
			? []
			: kinds.flatMap((ground) => {
					const own = used.filter((one) => groundOf(one) === ground);
					return canRead(plan, own) ? [{ ground, answer: answerOf(plan, own, terms) }] : [];
				});
	const byGround = grounds.length < 2 ? undefined : groundRow(plan, used, groundOf, terms);
	const money = measure === 'yield' ? moneyOfTreatments(plan, answer, used, terms) : [];
	const said = { answer, grounds, byGround, money, used };
	return {
		applies: true,
		measure,
		answer,
		grounds,
		byGround,
		money,
		means: meanFigures(plan, answer, used, terms),
		figures: trialFigures(plan, answer, terms),
		tests: anovaFigures(answer.anova),
		verdict: paragraphOf(plan, said, terms),
		headline: moneySentence(plan, said, terms) || answer.verdict,
		limits: limitsOf(plan, measure, grounds.length)
	};
}

function canRead(plan: TrialPlan, own: readonly TrialObservation[]): boolean {
	return plan.factors.every(({ name }) => new Set(own.map(({ levels }) => levels[name])).size > 1);
}

function answerOf(plan: TrialPlan, observations: readonly TrialObservation[], { level }: ReadingTerms): TrialAnswer {
	return answerTrial({
		design: plan.design,
		factors: plan.factors.map(({ name }) => name),
		...(plan.wholePlot === undefined ? {} : { wholePlot: plan.wholePlot }),
		observations: [...observations],
		...(level === undefined ? {} : { level }),
		...(plan.cvPercent === undefined ? {} : { cvPercent: plan.cvPercent })
	});
}

/** Treatment by ground, blocks within ground: the row of the analysis that asks whether they work otherwise. */
function groundRow(
	plan: TrialPlan,
	used: readonly TrialObservation[],
	groundOf: (one: TrialObservation) => string,
	terms: ReadingTerms
): AnovaRow | undefined {
	if (plan.design === 'split-plot' || plan.design === 'unreplicated') return undefined;
	const factor = plan.factors[0]!.name;
	const whole = used.map((one) => ({
		block: one.block,
		levels: { [factor]: treatmentOf(one), [GROUND]: groundOf(one) },
		yield: one.yield
	}));
	const { anova } = answerTrial({
		design: 'blocks',
		factors: [factor, GROUND],
		observations: whole,
		...(terms.level === undefined ? {} : { level: terms.level })
	});
	return anova.find(({ source, p }) => p !== null && source.includes(GROUND) && source.includes(':'));
}

function observationsOf(
	{ plan, plots, records }: TrialRecord,
	measure: TrialMeasure,
	{ standardMoisturePercent }: ReadingTerms
): TrialObservation[] {
	return plots.flatMap(({ plot, block, levels }) => {
		const own = records.find((one) => one.plot === plot);
		const value = own?.values?.[measure];
		if (!own || value === undefined) return [];
		return [
			{
				block,
				...(plan.design === 'latin-square' ? { column: placeOfPlot(plot) } : {}),
				levels,
				yield: measure === 'yield' ? atStandardMoisture(value, own.moisturePercent, standardMoisturePercent) : value,
				...(own.setAside === undefined ? {} : { setAside: `plot ${plot}, ${own.setAside}` })
			}
		];
	});
}

function limitsOf({ design, grounds = [] }: TrialPlan, measure: TrialMeasure, kinds: number): string[] {
	return [
		'One field in one year: other ground and other weather may turn it round. Read it with others like it.',
		...(design === 'unreplicated' ? ['Nothing was repeated, so nothing is proven.'] : []),
		...(grounds.some(Boolean) && kinds < 2
			? ['The kinds of ground cannot be read apart: each needs measured plots of every treatment.']
			: []),
		...(measure === 'yield' ? ['Prices and costs are those typed with the trial; other prices, other returns.'] : [])
	];
}
