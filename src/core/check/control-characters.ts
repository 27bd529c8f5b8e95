import type { Problem } from './problem';

/** Signs that no name or note is written with, and no XML file can hold; tab and line breaks are none of them. */
// eslint-disable-next-line no-control-regex
const CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F\uFFFE\uFFFF]/;
const EVERY = new RegExp(CONTROL, 'g');

/** A text from elsewhere without them. */
export function withoutControls(text: string): string {
	return text.replace(EVERY, '');
}

/**
 * The first text of a document that holds one, keys too.
 * @param depth at which to stop: documents are nested no deeper
 */
export function controlProblem(value: unknown, path = '', depth = 64): Problem | undefined {
	if (typeof value === 'string') {
		const at = value.search(CONTROL);
		if (at < 0) return undefined;
		const code = value.codePointAt(at)!.toString(16).toUpperCase().padStart(4, '0');
		return { path, message: `must hold no control character; U+${code} stands at place ${at + 1}` };
	}
	if (typeof value !== 'object' || value === null || depth === 0) return undefined;
	for (const [key, one] of Object.entries(value)) {
		const problem =
			controlProblem(key, `${path}/${withoutControls(key)}`, 0) ??
			controlProblem(one, `${path}/${withoutControls(key)}`, depth - 1);
		if (problem) return problem;
	}
	return undefined;
}
