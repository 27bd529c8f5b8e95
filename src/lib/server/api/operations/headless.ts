import { advise } from '../../../../core/rates/advise';
import { fitTrial } from '../../../../core/rates/nitrogen/response/answer-fit';
import { answerLeaf } from '../../../../core/reading/leaf/answer-leaf';
import { answerTrial } from '../../../../core/trials/answer-trial';
import { answerCalibrate } from '../../../../core/trials/calibration/answer-calibrate';
import { poolSites } from '../../../../core/trials/sites/pool-sites';
import { answerWater } from '../../../../core/water/answer-water';
import { answerSeason } from '../../../../core/season/answer-season';
import { solveBlend } from '../../../../core/supply/blend/solve-blend';
import { loadSolver } from '../../../../core/supply/blend/solver';
import type {
	AdviseAnswer,
	AdviseRequest,
	BlendAnswer,
	BlendRequest,
	CalibrateAnswer,
	CalibrateRequest,
	FitAnswer,
	FitRequest,
	LeafAnswer,
	LeafRequest,
	PoolAnswer,
	PoolRequest,
	SeasonAnswer,
	SeasonRequest,
	TrialAnswer,
	TrialRequest,
	WaterAnswer,
	WaterRequest
} from '../../../../core/schema-types';
import {
	ADVISE_EXAMPLE,
	BLEND_EXAMPLE,
	CALIBRATE_EXAMPLE,
	FIT_EXAMPLE,
	LEAF_EXAMPLE,
	POOL_EXAMPLE,
	SEASON_EXAMPLE,
	TRIAL_EXAMPLE,
	WATER_EXAMPLE
} from '../examples';
import { json, operation } from '../operation';

/** What works without a book: the same bodies as on the command line. */
export const headlessOperations = [
	operation('POST /api/advise', {
		summary: 'Works out the rates of one field by every guide that knows its crop',
		body: json<AdviseRequest>('advise-request'),
		answer: json<AdviseAnswer>('advise-answer'),
		example: ADVISE_EXAMPLE,
		run: ({ desk }, body) => advise(body, desk.library, desk.today)
	}),
	operation('POST /api/season', {
		summary: 'Runs the season of one field day by day',
		body: json<SeasonRequest>('season-request'),
		answer: json<SeasonAnswer>('season-answer'),
		example: SEASON_EXAMPLE,
		run: ({ desk }, body) => answerSeason(body, desk.library)
	}),
	operation('POST /api/blend', {
		summary: 'Finds the cheapest mix of products that meets a demand',
		body: json<BlendRequest>('blend-request'),
		answer: json<BlendAnswer>('blend-answer'),
		example: BLEND_EXAMPLE,
		run: async (_, body) => solveBlend(body, await loadSolver())
	}),
	operation('POST /api/fit', {
		summary: 'Fits curves of yield against nitrogen to the plots of a trial',
		body: json<FitRequest>('fit-request'),
		answer: json<FitAnswer>('fit-answer'),
		example: FIT_EXAMPLE,
		run: (_, body) => fitTrial(body)
	}),
	operation('POST /api/trial', {
		summary: 'Reads a trial by its design: variance, means, least differences, and what it says in words',
		body: json<TrialRequest>('trial-request'),
		answer: json<TrialAnswer>('trial-answer'),
		example: TRIAL_EXAMPLE,
		run: (_, body) => answerTrial(body)
	}),
	operation('POST /api/pool', {
		summary: 'Reads effects of several sites as one: variance between them by REML, interval by Knapp and Hartung',
		body: json<PoolRequest>('trial#/definitions/PoolRequest'),
		answer: json<PoolAnswer>('trial#/definitions/PoolAnswer'),
		example: POOL_EXAMPLE,
		run: (_, body) => poolSites(body)
	}),
	operation('POST /api/calibrate', {
		summary: 'Reads critical values of a soil or leaf test from sites, by each way of reading them',
		body: json<CalibrateRequest>('calibrate-request'),
		answer: json<CalibrateAnswer>('calibrate-answer'),
		example: CALIBRATE_EXAMPLE,
		run: (_, body) => answerCalibrate(body)
	}),
	operation('POST /api/leaf', {
		summary: 'Reads a leaf test against the ranges of its crop, part and stage',
		body: json<LeafRequest>('leaf-request'),
		answer: json<LeafAnswer>('leaf-answer'),
		example: LEAF_EXAMPLE,
		run: ({ desk }, body) => answerLeaf(body, desk.library)
	}),
	operation('POST /api/water', {
		summary: 'Says what irrigation water does to soil, crop and pipes, and the acid it takes',
		body: json<WaterRequest>('water-request'),
		answer: json<WaterAnswer>('water-answer'),
		example: WATER_EXAMPLE,
		run: ({ desk }, body) => answerWater(body, desk.library)
	})
] as const;
