import { invalidateAll } from '$app/navigation';

/** What keeps a guide from being taken, with the line of its text. */
export interface GuideProblem {
	path: string;
	message: string;
	line?: number;
}

/** Sends a guide's text to be taken into the book. */
export async function sendGuide(text: string): Promise<{ id?: string; message: string; problems: GuideProblem[] }> {
	let response: Response;
	try {
		response = await fetch('/api/guides', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ text })
		});
	} catch {
		return { message: 'The program does not answer; nothing was saved. Is it still running?', problems: [] };
	}
	const answer = (await response.json().catch(() => ({}))) as {
		id?: string;
		message?: string;
		problems?: GuideProblem[];
	};
	if (!response.ok) return { message: answer.message ?? 'Nothing was saved.', problems: answer.problems ?? [] };
	await invalidateAll();
	return { id: answer.id!, message: '', problems: [] };
}
