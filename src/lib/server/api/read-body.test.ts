import { describe, expect, it } from 'vitest';
import { readFile, readJson } from './read-body';

const post = (body: BodyInit, headers: Record<string, string>) =>
	new Request('http://127.0.0.1/api/x', { method: 'POST', headers, body });
const json = (text: string) => readJson(post(text, { 'content-type': 'application/json' }));
const named = async (name: string) =>
	(
		await readFile(post('a', { 'content-type': 'application/octet-stream', 'x-file-name': name }), {
			megabytes: 1,
			tooLarge: ''
		})
	).name;

describe('a body of JSON', () => {
	it('is nested 64 deep at most, whatever brackets its texts hold', async () => {
		const nested = (depth: number) => '['.repeat(depth) + ']'.repeat(depth);
		await expect(json(nested(65))).rejects.toMatchObject({ status: 400, message: 'must be nested at most 64 deep' });
		expect(JSON.stringify(await json(nested(64)))).toBe(nested(64));
		const text = JSON.stringify({ label: '[[{'.repeat(50), quoted: '\\"[[['.repeat(40) });
		expect(await json(text)).toEqual(JSON.parse(text));
		await expect(json('{"a":'.repeat(100_000))).rejects.toMatchObject({ status: 400 });
	});
	it('holds no control character in a text, which no file that goes out could hold', async () => {
		await expect(json('{"label": "Mill\\u0007"}')).rejects.toThrow('/label must hold no control character; U+0007');
		expect(await json('{"note": "two\\nlines"}')).toEqual({ note: 'two\nlines' });
	});
	it('may carry the text of a file, of which control characters are dropped: its reader says what is wrong with it', async () => {
		expect(await json('{"csv": "\\u0089PNG\\r\\n\\u001a\\n", "name": "yard"}')).toEqual({
			csv: '\u0089PNG\r\n\n',
			name: 'yard'
		});
		await expect(json('{"work": {"csv": "a\\u0001"}}')).rejects.toThrow('/work/csv must hold no control character');
		expect(await json('["csv"]')).toEqual(['csv']);
	});
	it('that is cut off is told so', async () => {
		await expect(json('{"a": [1, 2')).rejects.toMatchObject({ status: 400, message: /^is not JSON/ });
	});
});

describe('the name of a file', () => {
	it('comes percent-encoded, and without what no name is written with', async () => {
		expect(await named(encodeURIComponent('Söil 2026.csv'))).toBe('Söil 2026.csv');
		expect(await named(encodeURIComponent('a\u0000b\n\u202Ec.csv'))).toBe('abc.csv');
		expect(await named(encodeURIComponent('\u0007'))).toBe('the file');
		expect(await named('x'.repeat(300))).toHaveLength(200);
	});
	it('that is not is refused, not an accident', async () => {
		await expect(named('100%.csv')).rejects.toMatchObject({
			status: 400,
			message: 'x-file-name must be percent-encoded; got "100%.csv"'
		});
	});
});
