/** What this program wrote as JSON: the book's own columns, whose content was checked before it was kept. */
export function fromJson<T>(text: string): T {
	return JSON.parse(text) as T;
}
