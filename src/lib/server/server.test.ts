import { describe, expect, it } from 'vitest';
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

it('plans for the next year from September on', () => {
	expect([planningYear('2026-08-31'), planningYear('2026-09-01')]).toEqual([2026, 2027]);
});
