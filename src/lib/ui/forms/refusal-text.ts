/** What the program says of a request that it did not do. */
export interface Refusal {
	message: string;
	problems: { path: string; message: string }[];
	/** Where somebody changed it meanwhile: what stands in the book now. */
	now: unknown;
}

/** The same in words: `/harvestedYield must be ...` is for programs, people read “Harvested yield must be ...”. */
export function sentenceOf({ message, problems = [] }: Partial<Refusal>): string | undefined {
	const isPlain = problems.length > 0 && problems.every(({ path }) => /^\/[a-z]+([A-Z][a-z]+)*$/.test(path));
	if (!isPlain) return message;
	return problems.map((one) => `${wordsOf(one.path.slice(1))} ${one.message}.`).join(' ');
}

/** A key of the documents in words: "harvestedYield" is "Harvested yield". */
export function wordsOf(key: string): string {
	return key
		.replace(/([a-z])([A-Z])/g, (_, before: string, letter: string) => `${before} ${letter.toLowerCase()}`)
		.replace(/^./, (first) => first.toUpperCase())
		.replace(/\bph\b/i, 'pH');
}
