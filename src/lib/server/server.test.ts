import { describe, expect, it } from 'vitest';
import { InputError } from '../../core/check/problem';
import { answerJson } from './http/answer';
import { ActionError } from './book/action-error';
import { hostVerdict } from './http/host-check';
import { planningYear } from './field/planning-year';

describe('which hosts are served', () => {
	const origin = 'http://127.0.0.1:4173';
	const verdict = (host: string | null, path = '/') => hostVerdict(host, new URL(path, origin), origin);
	it('its own, and this machine’s other names for the API', () => {
		expect(verdict('127.0.0.1:4173')).toBe('serve');
		expect(verdict('localhost:4173', '/api/advise')).toBe('serve');
	});
	it('moves pages to the one address that forms are taken from', () => {
		expect(verdict('localhost:4173', '/import?a=1')).toEqual({ moveTo: `${origin}/import?a=1` });
	});
	it('refuses foreign names that lead here', () => {
		expect(verdict('evil.example:4173')).toBe('refuse');
		expect(verdict('evil.example:4173', '/api/advise')).toBe('refuse');
		expect(hostVerdict('localhost:80', new URL('http://book.example/'), 'http://book.example')).toBe('refuse');
	});
});

describe('the JSON door', () => {
	const send = (body: string, type = 'application/json') =>
		new Request('http://127.0.0.1/api/x', { method: 'POST', body, headers: { 'content-type': type } });
	const status = async (request: Request, work: () => unknown = () => ({})) =>
		(await answerJson(request, (body) => body, work)).status;

	it('takes JSON and nothing else', async () => {
		expect(await status(send('{}'))).toBe(200);
		expect(await status(send('{', 'application/json'))).toBe(400);
		expect(await status(send('{}', 'text/plain'))).toBe(415);
		expect(await status(send(`"${'x'.repeat(1024 * 1024)}"`))).toBe(413);
	});

	it('tells bad input from a book that says no, and hides neither', async () => {
		const fail = (error: Error) => () => {
			throw error;
		};
		expect(await status(send('{}'), fail(new InputError([{ path: '/a', message: 'b' }])))).toBe(422);
		expect(await status(send('{}'), fail(new ActionError('no')))).toBe(409);
		await expect(status(send('{}'), fail(new TypeError('a bug')))).rejects.toThrow('a bug');
	});
});

it('plans for the next year from September on', () => {
	expect([planningYear('2026-08-31'), planningYear('2026-09-01')]).toEqual([2026, 2027]);
});
