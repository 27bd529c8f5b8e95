import { invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';
import type { ParamsOf } from '$lib/server/api/operation';
import type { Api } from '$lib/server/api/table';
import { askWhichStands } from './conflict.svelte';
import { whileRead } from './files/files-read.svelte';
import { sentenceOf, type Refusal } from './refusal-text';

/** An operation of the program, by its method and path. */
export type Key = keyof Api;
/** A year of a field. */
export interface YearAddress {
	field: string;
	year: number;
}

export type BodyOf<K extends Key> = Parameters<Api[K]['run']>[1];
export type AnswerOf<K extends Key> = Awaited<ReturnType<Api[K]['run']>>;
type AddressOf<K extends Key> = { [Name in keyof ParamsOf<K>]: string | number };
type Query = Record<string, string | readonly string[]>;

/** What an operation answered, or what to tell the adviser. */
type Outcome<T> = { answer: T; problem?: undefined } | { answer?: undefined; problem: string };

const NO_ANSWER = 'The program does not answer; nothing was saved. Is it still running?';

/** Changes go one after the other, so that a later press is answered later and starts from what the earlier one left. */
let last: Promise<unknown> = Promise.resolve();

function inTurn<T>(work: () => Promise<T>): Promise<T> {
	const turn = last.then(work);
	last = turn.catch(() => undefined);
	return turn;
}

/**
 * Asks for a change, and reads the page's data anew where it went well. Where somebody changed the same meanwhile, the adviser is shown
 * both and says which stands.
 * @param body or what makes it once earlier changes are done
 */
export function call<K extends Key>(
	key: K,
	address: AddressOf<K>,
	body: BodyOf<K> | (() => BodyOf<K>)
): Promise<Outcome<AnswerOf<K>>> {
	return inTurn(async () => {
		const sent = typeof body === 'function' ? body() : body;
		const first = await send<AnswerOf<K>>(key, address, sent);
		if (!('now' in first)) return settled(first);
		if ((await askWhichStands(first.now, sent)) === 'book') {
			window.location.reload();
			return { problem: first.problem };
		}
		const second = await send<AnswerOf<K>>(key, address, { ...sent, seen: first.now });
		return settled('now' in second ? { problem: second.problem } : second);
	});
}

/** The same where the answer says nothing: what went wrong, or an empty text. */
export async function save<K extends Key>(
	key: K,
	address: AddressOf<K>,
	body: BodyOf<K> | (() => BodyOf<K>)
): Promise<string> {
	return (await call(key, address, body)).problem ?? '';
}

/** Removes something. */
export async function remove<K extends Key & `DELETE ${string}`>(key: K, address: AddressOf<K>): Promise<string> {
	return inTurn(async () => {
		const outcome = await request(key, addressOf(key, address), {});
		return (await settled(outcome)).problem ?? '';
	});
}

/** Asks a question; nothing is changed and nothing is read anew. */
export async function question<K extends Key & `GET ${string}`>(
	key: K,
	address: AddressOf<K>,
	query: Query = {}
): Promise<Outcome<AnswerOf<K>>> {
	return request(key, addressOf(key, address, query), {});
}

/**
 * Sends a file and shows that it is being read, until the adviser gives it up. With `reload` the page's data are read anew where it went
 * well, and where it was given up: it may have been taken just before.
 */
export async function sendFile<K extends Key>(
	key: K,
	address: AddressOf<K>,
	file: File,
	{ query, reload }: { query?: Query; reload: boolean }
): Promise<Outcome<AnswerOf<K>>> {
	const { outcome, givenUp } = await whileRead(file.name, async (signal) => {
		const answered = await request<AnswerOf<K>>(key, addressOf(key, address, query), {
			headers: { 'content-type': 'application/octet-stream', 'x-file-name': encodeURIComponent(file.name) },
			body: file,
			signal
		});
		return { outcome: answered, givenUp: signal.aborted };
	});
	if (!givenUp) return reload ? settled(outcome) : outcome;
	if (reload) await invalidateAll();
	return { problem: `${file.name} was given up.` };
}

type Sent<T> = Outcome<T> | { answer?: undefined; problem: string; now: unknown };

function send<T>(key: string, address: Record<string, string | number>, body: unknown): Promise<Sent<T>> {
	return request(key, addressOf(key, address), {
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify(body)
	});
}

async function request<T>(key: string, url: string, about: RequestInit): Promise<Sent<T>> {
	const method = key.split(' ')[0]!;
	const response = await fetch(url, { method, ...about }).catch(() => undefined);
	if (!response) return { problem: NO_ANSWER };
	const answer = (await response.json().catch(() => ({}))) as T & Partial<Refusal>;
	if (response.ok) return { answer };
	const problem = sentenceOf(answer) ?? `The program answered with an error (${response.status}); nothing was saved.`;
	return 'now' in answer ? { problem, now: answer.now } : { problem };
}

/** The path of an operation with its names filled in. */
function addressOf(key: string, address: Record<string, string | number>, query: Query = {}): string {
	const path = key.split(' ')[1]!.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(address[name]!));
	const search = new URLSearchParams();
	for (const [name, value] of Object.entries(query)) {
		for (const one of typeof value === 'string' ? [value] : value) search.append(name, one);
	}
	return search.size > 0 ? `${path}?${search}` : path;
}

/** Reads the page's data anew where it went well. A reload in the middle of a navigation would take the click on the link back. */
async function settled<T>(outcome: Outcome<T>): Promise<Outcome<T>> {
	if (outcome.problem === undefined) {
		await navigating.complete;
		await invalidateAll();
	}
	return outcome;
}
