import { invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';

/** What a route of our own said: its answer, or what to tell the adviser. */
type Said<T> = { answer: T; problem?: undefined } | { answer?: undefined; problem: string };

/** What a route says of input that it does not take. */
interface Refusal {
	message: string;
	problems: { path: string; message: string }[];
}

/** The same in words: `/harvestedYield must be ...` is for programs, people read “Harvested yield must be ...”. */
function sentenceOf({ message, problems = [] }: Partial<Refusal>): string | undefined {
	const isPlain = problems.length > 0 && problems.every(({ path }) => /^\/[a-z]+([A-Z][a-z]+)*$/.test(path));
	if (!isPlain) return message;
	const words = (path: string) => path.slice(1).replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
	return problems
		.map((one) =>
			`${words(one.path).replace(/^./, (first) => first.toUpperCase())} ${one.message}.`.replace(/ ph /, ' pH ')
		)
		.join(' ');
}

/** Sends JSON to a route of our own and, where it went well, reloads the page's data. */
export async function ask<T>(url: string, body: unknown, method = 'POST'): Promise<Said<T>> {
	let response: Response;
	try {
		response = await fetch(url, {
			method,
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
	} catch {
		return { problem: 'The program does not answer; nothing was saved. Is it still running?' };
	}
	const answer = (await response.json().catch(() => ({}))) as T & Partial<Refusal>;
	if (!response.ok) {
		return {
			problem: sentenceOf(answer) ?? `The program answered with an error (${response.status}); nothing was saved.`
		};
	}
	// A reload of the data in the middle of a navigation would take the click on the link back.
	await navigating.complete;
	await invalidateAll();
	return { answer };
}

/** The same where the answer says nothing: gives back what went wrong, or undefined. */
export async function post(url: string, body: unknown, method = 'POST'): Promise<string | undefined> {
	return (await ask(url, body, method)).problem;
}
