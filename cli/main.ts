import { messageOf } from '../src/core/check/message-of';
import { text } from 'node:stream/consumers';
import { InputError, type Problem } from '../src/core/check/problem';
import { validator } from '../src/core/check/validator';
import { advise } from '../src/core/rates/advise';
import { fitTrial } from '../src/core/rates/nitrogen/response/answer-fit';
import { answerLeaf } from '../src/core/reading/leaf/answer-leaf';
import { answerSeason } from '../src/core/season/answer-season';
import { solveBlend } from '../src/core/supply/blend/solve-blend';
import { loadSolver } from '../src/core/supply/blend/solver';
import { answerCalibrate } from '../src/core/trials/calibration/answer-calibrate';
import { poolSites } from '../src/core/trials/sites/pool-sites';
import { answerTrial } from '../src/core/trials/answer-trial';
import { answerWater } from '../src/core/water/answer-water';
import type {
	AdviseRequest,
	BlendRequest,
	CalibrateRequest,
	FitRequest,
	LeafRequest,
	PoolRequest,
	SeasonRequest,
	TrialRequest,
	WaterRequest
} from '../src/core/schema-types';
import { theLibrary } from '../src/lib/server/knowledge';
import { today } from '../src/lib/server/today';

const asAdviseRequest = validator<AdviseRequest>('advise-request');
const asSeasonRequest = validator<SeasonRequest>('season-request');
const asBlendRequest = validator<BlendRequest>('blend-request');
const asCalibrateRequest = validator<CalibrateRequest>('calibrate-request');
const asPoolRequest = validator<PoolRequest>('trial#/definitions/PoolRequest');
const asTrialRequest = validator<TrialRequest>('trial-request');
const asFitRequest = validator<FitRequest>('fit-request');
const asLeafRequest = validator<LeafRequest>('leaf-request');
const asWaterRequest = validator<WaterRequest>('water-request');

/** What each verb answers, at once or in a while. */
const VERBS: Record<string, (request: unknown) => unknown> = {
	advise: (request) => advise(asAdviseRequest(request), theLibrary(), today()),
	blend: async (request) => {
		const problem = asBlendRequest(request);
		return solveBlend(problem, await loadSolver());
	},
	calibrate: (request) => answerCalibrate(asCalibrateRequest(request)),
	fit: (request) => fitTrial(asFitRequest(request)),
	leaf: (request) => answerLeaf(asLeafRequest(request), theLibrary()),
	pool: (request) => poolSites(asPoolRequest(request)),
	season: (request) => answerSeason(asSeasonRequest(request), theLibrary()),
	trial: (request) => answerTrial(asTrialRequest(request)),
	water: (request) => answerWater(asWaterRequest(request), theLibrary())
};

const USAGE = `usage: cosecha <verb> < request.json > answer.json
verbs: ${Object.keys(VERBS).join(', ')}
`;

/**
 * Runs one verb on standard input.
 * @returns the exit code: 0 answered, 2 bad input or bad usage (problems as JSON on standard output)
 */
export async function main([verb = '', ...rest]: string[]): Promise<number> {
	const run = Object.hasOwn(VERBS, verb) ? VERBS[verb] : undefined;
	if (!run || rest.length > 0) {
		process.stderr.write(USAGE);
		return verb === '--help' ? 0 : 2;
	}
	try {
		write(await run(parse(await text(process.stdin))));
		return 0;
	} catch (error) {
		if (!(error instanceof InputError)) throw error;
		write({ problems: error.problems });
		for (const { path, message } of error.problems) process.stderr.write(`${path || '/'} ${message}\n`);
		return 2;
	}
}

function parse(body: string): unknown {
	try {
		return JSON.parse(body);
	} catch (error) {
		const problem: Problem = { path: '', message: `is not JSON: ${messageOf(error)}` };
		throw new InputError([problem]);
	}
}

function write(answer: unknown): void {
	process.stdout.write(`${JSON.stringify(answer, null, '\t')}\n`);
}
