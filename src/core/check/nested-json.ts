/** Nothing of ours comes near it; parsers and checks of what is nested deeper run out of stack. */
export const MOST_NESTED = 64;

/** Where a bracket of JSON stands in more than that many others, outside of its texts; undefined where none does. */
export function tooDeepAt(json: string): number | undefined {
	let depth = 0;
	let inText = false;
	for (let at = 0; at < json.length; at++) {
		const sign = json[at];
		if (inText) {
			if (sign === '\\') at++;
			else if (sign === '"') inText = false;
		} else if (sign === '"') inText = true;
		else if (sign === '{' || sign === '[') {
			if (++depth > MOST_NESTED) return at;
		} else if (sign === '}' || sign === ']') depth--;
	}
	return undefined;
}
