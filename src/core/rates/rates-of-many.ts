import type { PackSet } from '../packs/pack';
import { evaluate } from '../reading/evaluate';
import { cationExchangeCapacity } from '../reading/soil/cec';
import { readReport } from '../reading/findings/read-report';
import type { Site } from '../reading/site';
import { SiteReading } from '../reading/site-reading';
import type { AdviseRequest } from '../schema-types';
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
	knowledge: Knowledge,
	today: string,
	step = 200
): Generator<Progress, ManyRates> {
	const { packs } = knowledge;
	const rules = packs.rules.filter(isRateRule);
	const rates = new Float64Array(total * rules.length);
	const findings: Record<string, number> = {};
	let done = 0;
	for (const request of requests) {
		const site = siteOf(request, knowledge, today);
		countFindings(site, packs, findings);
		const reading = new SiteReading(site, inputReaders);
		for (let column = 0; column < rules.length; column++) {
			rates[done * rules.length + column] = evaluate(rules[column]!, reading);
		}
		if (++done % step === 0) yield { done, total };
	}
	return { methods: rules.map(({ method }) => method), rates, findings };
}

function countFindings(site: Site, packs: PackSet, findings: Record<string, number>): void {
	const cec = cationExchangeCapacity(site.soil);
	for (const { code } of readReport({ site, cec, packs })) findings[code] = (findings[code] ?? 0) + 1;
}
