import { InputError } from '../../../check/problem';
import { figure, notApplicable, type Answer } from '../../../figure/figure';
import type { FitAnswer, FitRequest } from '../../../schema-types';
import { formatNumber, tidy } from '../../../units/display';
import { withoutBlocks } from './block-term';
import { blocksOf } from './blocks-of';
import { bootstrapOptimum, noInterval, type OptimumSpread } from './bootstrap';
import { bestOf, fitAmongBlocks, fitAnswer, fitModels, rivalsOf, type Fitted } from './fit-response';
import { responseModels } from './shapes/models';
import { explainObjectives, USUAL_TOLERANCE, type PriceFigures } from './objectives';
import { rateMeans, type RateMeans } from './rate-means';
import { testResponse, type ResponseTests } from './response-tests';
import { flatBand, mostProfitRate, mostYieldRate, type TestedCurve } from './returns';

const USUAL_REPLICATES = 2000;
const USUAL_SEED = 1;
/** Three coefficients want as many rates, and a plot to spare. */
const LEAST_RATES = 3;
const LEAST_OBSERVATIONS = 4;

/** How far the bootstrap has come. */
interface Progress {
	done: number;
	total: number;
}

/**
 * Curves through the plots of a trial, the rates they call for, and how sure they are.
 * @param request checked by schemas/fit-request.schema.json
 * @throws InputError where price ratio and prices disagree
 */
export function fitTrial(request: FitRequest): FitAnswer {
	const steps = fitTrialInSteps(request);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
	}
}

/** The same, leaving off between steps of the bootstrap to tell how far it is. */
export function* fitTrialInSteps(request: FitRequest): Generator<Progress, FitAnswer> {
	const { observations, replicates = USUAL_REPLICATES, seed = USUAL_SEED } = request;
	const { observations: unblocked, freedom } = withoutBlocks(observations);
	const data = rateMeans(unblocked);
	const tested = {
		lowest: data.rates[0]!,
		highest: data.rates[data.count - 1]!,
		rates: data.count,
		observations: observations.length,
		blocks: blocksOf(observations).length
	};
	const ratio = priceRatioOf(request);
	const enough = data.count >= LEAST_RATES && observations.length >= LEAST_OBSERVATIONS;
	const fitted = enough
		? fitModels(data, request.models).flatMap((one) => fitAmongBlocks(observations, one) ?? [])
		: [];
	const fits = responseModels
		.filter(({ name }) => request.models === undefined || request.models.includes(name))
		.map((model) =>
			fitAnswer(
				model,
				fitted.find((one) => one.model === model),
				data,
				observations,
				freedom
			)
		);
	const none = { fits, best: null, aonr: null, eonr: null, tested };
	if (!enough) return { ...none, reason: tooFew(data, observations.length) };
	const best = bestOf(fitted, data);
	const tests = testResponse(data, observations, freedom, best?.rss ?? Infinity);
	const told = { response: tidy(tests.response), curvature: tidy(tests.curvature) };
	if (!best || tests.verdict !== 'curve') {
		const verdict = tests.verdict === 'curve' ? 'flat' : tests.verdict;
		return { ...none, tests: told, reason: refusal(tests, verdict, data) };
	}

	const { model, p } = best;
	const curve: TestedCurve = { model, p, lowest: tested.lowest, highest: tested.highest };
	const aonr = numberOrNull(mostYieldRate(curve));
	const eonr = ratio === undefined ? null : numberOrNull(mostProfitRate(curve, ratio));
	const reason = missingOptima(curve, aonr, eonr, ratio);
	const answer: FitAnswer = {
		...none,
		best: model.name,
		aonr,
		eonr,
		tests: told,
		...(reason ? { reason } : {}),
		...objectivesIn(request, curve, ratio)
	};
	const rivals = rivalsIn(rivalsOf(fitted, best, data, observations.length, freedom), tested, ratio);
	if (ratio === undefined || eonr === null || replicates === 0) return { ...answer, ...rivals };
	const noSpread = noInterval(observations);
	if (noSpread) return { ...answer, ...rivals, noInterval: noSpread };
	const spread = yield* bootstrapOptimum(unblocked, freedom, request.models, ratio, replicates, seed);
	return { ...answer, ...rivals, ...spreadIn(spread, seed) };
}

function priceRatioOf({ priceRatio, prices }: FitRequest): number | undefined {
	if (!prices) return priceRatio;
	const ratio = prices.nitrogen / prices.grain;
	if (priceRatio !== undefined && Math.abs(priceRatio - ratio) > 1e-6 * Math.max(priceRatio, ratio)) {
		const message = `must be nitrogen / grain of /prices, ${tidy(ratio)}, or be left out; got ${priceRatio}`;
		throw new InputError([{ path: '/priceRatio', message }]);
	}
	return ratio;
}

function objectivesIn(request: FitRequest, curve: TestedCurve, ratio: number | undefined) {
	const { prices, toleranceDollars = USUAL_TOLERANCE } = request;
	const tolerance = figure({ label: 'may be given up', value: toleranceDollars, unit: '$/ac', basis: 'adviser' });
	const words = { basis: 'measured', citation: undefined, yieldUnit: '' } as const;
	const objectives = explainObjectives(curve, priceFigures(prices, ratio), tolerance, words);
	if (!prices || !objectives.mostProfit.applies) return { objectives };
	return { objectives, band: { within1: flatBand(curve, prices, 1), within5: flatBand(curve, prices, 5) } };
}

function priceFigures(prices: FitRequest['prices'], ratio: number | undefined): PriceFigures {
	const price = (label: string, unit: string, value: number | undefined): Answer =>
		value === undefined
			? notApplicable(label, `no ${label} is given`, 'Give prices.')
			: figure({ label, value, unit, basis: 'adviser' });
	return {
		grain: price('price of grain', '$', prices?.grain),
		nitrogen: price('price of nitrogen', '$ per lb', prices?.nitrogen),
		ratio: price('price of nitrogen over price of grain', '', ratio)
	};
}

function missingOptima(
	{ model, p, lowest, highest }: TestedCurve,
	aonr: number | null,
	eonr: number | null,
	ratio: number | undefined
): string | undefined {
	const range = `the tested range of ${formatNumber(lowest, 'lb/ac')} to ${formatNumber(highest, 'lb/ac')}`;
	const at = formatNumber(model.agronomicOptimum(p), 'lb/ac');
	const yields = `the rate of maximum yield lies outside ${range} (the curve would put it at ${at})`;
	if (ratio === undefined) {
		const prices = 'no economic optimum, because no prices are given';
		return aonr === null ? `no optimum inside the tested range: ${yields}; ${prices}` : prices;
	}
	if (aonr === null && eonr === null) return `no optimum inside the tested range: ${yields}, the economic optimum too`;
	if (eonr === null) return `no economic optimum inside the tested range at this price ratio`;
	return aonr === null ? yields : undefined;
}

function tooFew(data: RateMeans, observations: number): string {
	return `no optimum inside the tested range: ${observations} observations at ${data.count} different rates are too few; it takes at least ${LEAST_OBSERVATIONS} at ${LEAST_RATES}, better 12 or more at 5`;
}

function refusal(
	{ response, curvature }: ResponseTests,
	verdict: Exclude<ResponseTests['verdict'], 'curve'>,
	{ rates, count }: RateMeans
): string {
	const range = `from ${formatNumber(rates[0]!, 'lb/ac')} to ${formatNumber(rates[count - 1]!, 'lb/ac')}`;
	const p = (value: number) => (value < 0.001 ? 'p below 0.001' : `p ${value.toFixed(value < 0.1 ? 3 : 2)}`);
	const words = {
		flat: `the yield shows no response to nitrogen ${range} (${p(response)} against no response)`,
		straight: `the yield still rises in a straight line at the highest rate, ${range} (${p(curvature)} against a straight line); test higher rates`,
		falling: `the yield falls with nitrogen ${range}; test lower rates`,
		step: `the yield is level from the second tested rate on; the optimum lies between ${formatNumber(rates[0]!, 'lb/ac')} and ${formatNumber(rates[1]!, 'lb/ac')}, test rates between them`
	};
	return `no optimum inside the tested range: ${words[verdict]}`;
}

/** Shapes that the plots do not tell apart, each with its own optimum, and the span of these; nothing where the best stands alone. */
function rivalsIn(
	fits: readonly Fitted[],
	{ lowest, highest }: { lowest: number; highest: number },
	ratio: number | undefined
): Pick<FitAnswer, 'rivals' | 'eonrSpan'> {
	if (fits.length < 2) return {};
	const rivals = fits.map(({ model, p }) => {
		const curve: TestedCurve = { model, p, lowest, highest };
		return {
			model: model.name,
			aonr: numberOrNull(mostYieldRate(curve)),
			eonr: ratio === undefined ? null : numberOrNull(mostProfitRate(curve, ratio))
		};
	});
	const rates = rivals.flatMap(({ eonr }) => (eonr === null ? [] : [eonr]));
	return {
		rivals,
		...(rates.length > 1 ? { eonrSpan: spanOf(rates) } : {})
	};
}

function spreadIn({ low, high, ...how }: OptimumSpread, seed: number): Pick<FitAnswer, 'eonrInterval' | 'bootstrap'> {
	return { eonrInterval: [low, high], bootstrap: { ...how, seed } };
}

function numberOrNull(value: number): number | null {
	return Number.isNaN(value) ? null : value;
}

function spanOf(rates: readonly number[]): [lowest: number, highest: number] {
	return [Math.min(...rates), Math.max(...rates)];
}
