import type { Problem } from '../../../../core/check/problem';

/** What the process is asked, and what it answers, stand in files of these names in a folder of their own. */
export const ASKED_FILE = 'asked';
export const ANSWER_FILE = 'answer';

/** By these the process ends itself. */
export const TOOK_TOO_LONG = 'SIGTERM';
export const TOOK_TOO_MUCH = 'SIGKILL';

/** What a file said; else what is wrong with it, by name or in a sentence; else what broke in the program. */
export type Answer = { read: unknown } | { problems: readonly Problem[] } | { refused: string } | { accident: string };
