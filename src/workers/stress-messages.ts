import type { SeasonKnowledge } from '$core/season/model/run-season';
import type { StressOutcome, TriedProgramme } from '$core/season/model/stress-test';

/** What a stress test needs: the plan and its alternatives, and what the model stands on. */
export interface StressSetup {
	programmes: TriedProgramme[];
	knowledge: SeasonKnowledge;
	/** $ per unit of yield; undefined where it is not known. */
	grainPrice: number | undefined;
	yieldUnit: string;
}

/** What the page asks of the worker. */
export interface StressRequest {
	setup: StressSetup;
	seasons: number;
}

/** What the worker tells the page; a worker that is no longer wanted is ended. */
export type StressReply = { kind: 'progress'; done: number; total: number } | { kind: 'tried'; outcome: StressOutcome };
