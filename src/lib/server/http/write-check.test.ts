import { expect, it } from 'vitest';
import { isForeignWrite } from './write-check';

const origin = 'http://127.0.0.1:4173';
const foreign = (method: string, headers: Record<string, string>, own: string | undefined = origin) =>
	isForeignWrite(method, new Headers(headers), own);

it.each([
	['a page of another site', 'POST', { origin: 'https://evil.example' }],
	['a sandboxed frame', 'PUT', { origin: 'null' }],
	['another port of this machine', 'DELETE', { origin: 'http://127.0.0.1:9000' }],
	['a browser that says so', 'POST', { 'sec-fetch-site': 'cross-site', origin }],
	['a neighbour of the same site', 'POST', { 'sec-fetch-site': 'same-site' }]
] as [string, string, Record<string, string>][])('%s changes nothing', (_, method, headers) => {
	expect(foreign(method, headers)).toBe(true);
});
it.each([
	['a page of the program', 'POST', { origin, 'sec-fetch-site': 'same-origin' }],
	['the command line', 'POST', {}],
	['the address line', 'POST', { 'sec-fetch-site': 'none' }],
	['a link from elsewhere that reads', 'GET', { origin: 'https://evil.example', 'sec-fetch-site': 'cross-site' }]
] as [string, string, Record<string, string>][])('%s is served', (_, method, headers) => {
	expect(foreign(method, headers)).toBe(false);
});
it('knows its own address in use, not in development', () => {
	expect(isForeignWrite('POST', new Headers({ origin: 'http://localhost:5173' }), undefined)).toBe(false);
});
