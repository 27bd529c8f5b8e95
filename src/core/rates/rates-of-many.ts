import type { CompiledRule, PackSet } from '../packs/pack';
import { noNumbers, type InputName, type RuleNumbers } from '../packs/rule-kind';
import { refusedOutright } from '../reading/apply-rule';
import { cationExchangeCapacity } from '../reading/soil/cec';
import { readReport } from '../reading/findings/read-report';
import { sitesByLayer } from '../reading/layers-to-lime';
import type { Site } from '../reading/site';
import { numberOf } from '../reading/site-inputs';
import type { AdviseRequest, CropId } from '../schema-types';
import { siteOf, isRateRule, type Knowledge } from './advise';
import { inputReaders } from './input-readers';

/** Rates of many zones or fields at once, numbers alone. */
export interface ManyRates {
	/** `pack/rule`, the columns of `rates`. */
	methods: string[];
	/** lb/ac, lime short tons/ac; row by row, NaN where a method does not apply. */
	rates: Float64Array;
	/** How many of them each finding of the reading was made on. */
	findings: Record<string, number>;
}

/** How far a long run has come. */
export interface Progress {
	done: number;
	total: number;
}

/** Inputs that are the same whichever rule asks, read once for a site. */
const SAME_FOR_EVERY_RULE: ReadonlySet<InputName> = new Set([
	'cec',
	'organicMatter',
	'organicCarbon',
	'clay',
	'bulkDensity',
	'yieldGoal',
	'residueShare',
	'nitrogenRate'
]);

type Known = Partial<RuleNumbers>;

/**
 * Reads every request and works out its rates by every rule, a few at a time: between two steps the caller may show
 * the progress, or leave off.
 * @param requests each checked by schemas/advise-request.schema.json
 * @param today YYYY-MM-DD
 * @param step how many between two reports
 */
export function* ratesOfMany(
	requests: Iterable<AdviseRequest>,
	total: number,
	{ packs, crops }: Knowledge,
	today: string,
	step = 200
): Generator<Progress, ManyRates> {
	const rules = packs.rules.filter(isRateRule);
	const questions = questionsByCrop(rules);
	const rates = new Float64Array(total * rules.length);
	const findings: Record<string, number> = {};
	let done = 0;
	for (const request of requests) {
		const site = siteOf(request, crops, today);
		countFindings(site, packs, findings);
		const known: Known = {};
		const asked = questions(site.crop.id);
		for (let column = 0; column < rules.length; column++) {
			rates[done * rules.length + column] = rateNumber(asked[column]!, site, known);
		}
		if (++done % step === 0) yield { done, total };
	}
	return { methods: rules.map(({ method }) => method), rates, findings };
}

/** A rule as it is asked for one crop; undefined where the guide is silent on it. */
type Question = { compiled: CompiledRule; parameters: unknown; needs: readonly InputName[] } | undefined;

function questionsByCrop(rules: readonly CompiledRule[]): (crop: CropId) => Question[] {
	const known = new Map<CropId, Question[]>();
	return (crop) => {
		let questions = known.get(crop);
		if (!questions) known.set(crop, (questions = rules.map((compiled) => questionOf(compiled, crop))));
		return questions;
	};
}

function questionOf(compiled: CompiledRule, crop: CropId): Question {
	const parameters = compiled.parametersFor(crop);
	return parameters === undefined ? undefined : { compiled, parameters, needs: compiled.kind.needs(parameters) };
}

/** One rule's rate, lb/ac or short tons/ac, without its worksheet; NaN where it does not apply. */
function rateNumber(question: Question, site: Site, known: Known): number {
	if (!question || refusedOutright(question.compiled, site)) return NaN;
	if (!question.compiled.kind.byLayer) return numberOnce(question, site, known);
	const layers = sitesByLayer(site, question.compiled);
	return layers.length === 0 ? NaN : layers.reduce((sum, layer) => sum + numberOnce(question, layer, {}), 0);
}

function numberOnce({ compiled, parameters, needs }: NonNullable<Question>, site: Site, known: Known): number {
	const numbers = noNumbers();
	for (const name of needs) {
		const value = SAME_FOR_EVERY_RULE.has(name)
			? (known[name] ??= numberOf(inputReaders[name](site, compiled)))
			: numberOf(inputReaders[name](site, compiled));
		if (Number.isNaN(value)) return NaN;
		numbers[name] = value;
	}
	return compiled.kind.compute(parameters, numbers);
}

function countFindings(site: Site, packs: PackSet, findings: Record<string, number>): void {
	const cec = cationExchangeCapacity(site.layers);
	for (const { code } of readReport({ site, cec, packs })) findings[code] = (findings[code] ?? 0) + 1;
}
