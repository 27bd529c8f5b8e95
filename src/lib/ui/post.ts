import { invalidateAll } from '$app/navigation';

/**
 * Sends JSON to a route of our own and reloads the page's data.
 * @returns undefined where it went well, else what to tell the adviser
 */
export async function post(url: string, body: unknown, method = 'POST'): Promise<string | undefined> {
	let response: Response;
	try {
		response = await fetch(url, {
			method,
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
	} catch {
		return 'The program does not answer; nothing was saved. Is it still running?';
	}
	if (!response.ok) {
		const answer = (await response.json().catch(() => ({}))) as { message?: string };
		return answer.message ?? `The program answered with an error (${response.status}); nothing was saved.`;
	}
	await invalidateAll();
	return undefined;
}
