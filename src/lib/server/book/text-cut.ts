import { createHash } from 'node:crypto';

/** What changed in a long text: what stood at a place and what stands there now. The log would else hold all of it twice. */
export interface TextCut {
	at: number;
	before: string;
	after: string;
	/** Of the whole text after the change, by which a later one is seen. */
	digest: string;
}

/** Texts under this many letters are logged whole. */
export const LONG_TEXT = 2000;

/** The one place in which two texts differ: without what they begin and end with in common. */
export function cutBetween(before: string, after: string): TextCut {
	const most = Math.min(before.length, after.length);
	let at = 0;
	while (at < most && before[at] === after[at]) at++;
	let tail = 0;
	while (tail < most - at && before[before.length - 1 - tail] === after[after.length - 1 - tail]) tail++;
	return {
		at,
		before: before.slice(at, before.length - tail),
		after: after.slice(at, after.length - tail),
		digest: digestOf(after)
	};
}

/** Whether a text is as a change left it. */
export const isAsLeft = (text: string, { digest }: TextCut): boolean => digestOf(text) === digest;

/** The text as it was before a change. */
export function withoutCut(text: string, { at, before, after }: TextCut): string {
	return text.slice(0, at) + before + text.slice(at + after.length);
}

const digestOf = (text: string) => createHash('sha256').update(text).digest('hex');
