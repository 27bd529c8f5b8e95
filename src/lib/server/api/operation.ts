import { validator } from '../../../core/check/validator';
import type { Desk } from '../desk';
import type { SentFile } from '../files/sent-file';

/** The names in braces of a path: "field" and "year" of `/api/fields/{field}/{year}`. */
type Names<Path extends string> = Path extends `${string}{${infer Name}}${infer Rest}` ? Name | Names<Rest> : never;

/** The parts of an address that an operation's key names. */
export type ParamsOf<Key extends string> = Record<Names<Key>, string>;

/** One request to an operation: its address, and what it reads and writes. */
export interface Call<Key extends string> {
	params: ParamsOf<Key>;
	query: URLSearchParams;
	/** Book, library and day. */
	desk: Desk;
	/** That nobody waits for the answer any more. */
	gone: AbortSignal;
}

/** A kind of value: how it is checked, and the schema that says what it looks like. */
export interface Shape<T> {
	/** `<name>` of schemas/<name>.schema.json, or `<name>#/definitions/<Definition>` in it. */
	schema: string;
	check: (value: unknown) => T;
}

/** A body or answer of JSON by one of the project's schemas. */
export function json<T>(schema: string): Shape<T> {
	return { schema, check: validator<T>(schema) };
}

/** A body that is a file: how large it may be, and what is said of a larger one after "<name> is over n MB". */
export interface FileBody {
	megabytes: number;
	tooLarge: string;
}

export const MAP_FILE: FileBody = { megabytes: 20, tooLarge: '. Cut out the field first.' };

/** What holds the rows of an id in a body. */
export type NamedIn = 'pass' | 'crop_test' | 'field';

/** An operation of the program, as it is answered, called by the pages, and written into the description of the API. */
export interface Operation<Key extends string = string, Body = unknown, Answer = unknown> {
	/** Method and path: `PUT /api/fields/{field}/{year}/goal`. */
	key: Key;
	/** What it does, in a sentence without its full stop. */
	summary: string;
	/** What may stand after the question mark, with what it means. */
	query?: Record<string, string>;
	body?: Shape<Body>;
	file?: FileBody;
	answer?: Shape<Answer>;
	/** Ids in the body; what they name must belong to the field, or the year, of the address. */
	names?: (body: Body) => Partial<Record<NamedIn, readonly string[]>>;
	/**
	 * What the body would replace, as it stands in the book, in the shape of the body's `seen`: where the two differ, somebody changed it
	 * after the page was loaded, and nothing is written.
	 */
	stands?: (call: Call<Key>, body: Body) => unknown;
	/** An example of the body; ids in it are those of `EXAMPLE_IDS`. */
	example?: Body;
	run: (call: Call<Key>, body: Body, file: SentFile) => Answer | Promise<Answer>;
}

/** Writes an operation down, so that its parts are typed by its key, body and answer. */
export function operation<const Key extends string, Body = Record<string, never>, Answer = void>(
	key: Key,
	about: Omit<Operation<Key, Body, Answer>, 'key'>
): Operation<Key, Body, Answer> {
	return { key, ...about };
}

/** Ids that stand in examples for those of a book. */
export const EXAMPLE_IDS = {
	field: 'field-1',
	pass: 'pass-1',
	bag: 'bag-1',
	test: 'test-1',
	otherField: 'field-2',
	source: 'source-1',
	yieldLayer: 'layer-1'
} as const;
