import type { FitAnswer, FitRequest } from '$core/schema-types';

/** What the page asks of the worker. A later request takes the place of one that is still running. */
export type FitMessage = { kind: 'fit'; id: number; request: FitRequest } | { kind: 'cancel' };

/** What the worker tells the page. */
export type FitReply =
	{ kind: 'progress'; id: number; done: number; total: number } | { kind: 'fitted'; id: number; answer: FitAnswer };
