/** One thing wrong with what was given: where it stands, and what would be right. */
export interface Problem {
	/** JSON pointer to the value, for example `/sample/layers/0/results/2/value`. */
	path: string;
	message: string;
}

/** Thrown where input cannot be used; the doors turn it into exit code 2 or HTTP 422. */
export class InputError extends Error {
	constructor(readonly problems: readonly Problem[]) {
		super(problems.map(({ path, message }) => `${path || '/'} ${message}`).join('; '));
		this.name = 'InputError';
	}
}
