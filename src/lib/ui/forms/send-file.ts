import { invalidateAll } from '$app/navigation';

/** Sends a file to a route of our own; with `reload` the page's data are read anew where it went well. */
export async function sendFile<T>(
	url: string,
	file: File,
	reload: boolean
): Promise<{ answer: T; problem?: undefined } | { answer?: undefined; problem: string }> {
	let response: Response;
	try {
		response = await fetch(url, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream', 'x-file-name': encodeURIComponent(file.name) },
			body: file
		});
	} catch {
		return { problem: 'The program does not answer; nothing was saved. Is it still running?' };
	}
	const answer = (await response.json().catch(() => ({}))) as T & { message?: string };
	if (!response.ok)
		return { problem: answer.message ?? `The program answered with an error (${response.status}); nothing was saved.` };
	if (reload) await invalidateAll();
	return { answer };
}
