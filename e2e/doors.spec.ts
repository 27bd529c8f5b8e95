import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { connect } from 'node:net';
import fc from 'fast-check';
import { expect, test } from './app';

const corn = JSON.parse(readFileSync('demo/requests/corn-after-soybean.json', 'utf8')) as Record<string, unknown>;

test('the API answers as the command line does', async ({ app }) => {
	const response = await app.post('/api/advise', corn);
	expect(response.status).toBe(200);
	const { rates } = (await response.json()) as { rates: { method: string; rate: number }[] };
	const rate = (method: string) => rates.find((one) => one.method === `tri-state-1995/${method}`)?.rate;
	expect([rate('phosphorus'), rate('potassium'), rate('nitrogen'), rate('lime')]).toEqual([84.2, 63.2, 160.6, 4.72]);
});

test('advice with older samples, an outlook and a next crop has all of it', async ({ app }) => {
	const request = {
		...corn,
		earlierSamples: [corn.sample],
		nitrogenRate: 160.6,
		outlookYears: 6,
		nextCrop: { id: 'soybean', yieldGoal: 50 },
		limingMaterial: {
			neutralizingValuePercent: 90,
			passing: [
				{ mesh: 8, percent: 95 },
				{ mesh: 60, percent: 48 }
			]
		}
	};
	const response = await app.post('/api/advise', request);
	expect(response.status).toBe(200);
	const { rates, outlooks } = (await response.json()) as {
		rates: {
			method: string;
			rate: number;
			bothYears?: { value: number };
			liming?: { effectiveFraction: { value: number } };
		}[];
		outlooks: { method: string; applies: boolean; years: unknown[]; reason?: string }[];
	};
	const rate = (method: string) => rates.find((one) => one.method === method)!;
	expect(rate('tri-state-1995/phosphorus').bothYears?.value).toBeCloseTo(149.2, 9);
	expect(rate('sulfur-practice/with-nitrogen-early').rate).toBeCloseTo(16.06, 9);
	expect(rate('tri-state-1995/lime').liming?.effectiveFraction.value).toBeCloseTo(0.65025, 9);
	for (const outlook of outlooks) expect(outlook.applies ? outlook.years.length : outlook.reason).toBeTruthy();

	const wrong = await app.post('/api/advise', { ...request, limingMaterial: { neutralizingValuePercent: 90 } });
	expect(wrong.status).toBe(422);
	const badNext = await app.post('/api/advise', { ...request, nextCrop: { id: 'soybean' } });
	expect(JSON.stringify(await badNext.json())).toContain('/nextCrop');
});

test('bad requests answer with path and message, never with a stack', async ({ app }) => {
	const send = async (body: string, type = 'application/json') => {
		const response = await fetch(`${app.server.origin}/api/advise`, {
			method: 'POST',
			headers: { 'content-type': type },
			body
		});
		return { status: response.status, text: await response.text() };
	};
	const text = JSON.stringify(corn);
	const wrong = await send(text.replace('"yieldGoal":160', '"yieldGoal":"160"'));
	expect(wrong.status).toBe(422);
	expect(JSON.parse(wrong.text)).toMatchObject({
		problems: [{ path: '/crop/yieldGoal', message: 'must be number; got "160"' }]
	});
	expect((await send(text.replace('"CEC"', '"Moon"'))).status).toBe(422);
	expect((await send(text.replace('"value":120', '"value":-1'))).status).toBe(422);
	expect((await send(text.replace('"value":120', '"value":NaN'))).status).toBe(400);
	expect((await send(text.slice(0, -9))).status).toBe(400);
	expect((await send(text, 'text/plain')).status).toBeGreaterThanOrEqual(400);
	for (const { text: answer } of [wrong]) expect(answer).not.toMatch(/at .*\.js:\d+/);
});

test('a body of 50 MB is refused, announced or not', async ({ app }) => {
	const big = Buffer.alloc(50 * 1024 * 1024, 'x');
	const post = (body: BodyInit, more: object = {}) =>
		fetch(`${app.server.origin}/api/advise`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body,
			...more
		}).then(
			({ status }) => status,
			// The server may hang up on a sender that does not stop; that too is a refusal.
			() => 413
		);
	expect(await post(big)).toBe(413);
	const stream = new ReadableStream({
		start(controller) {
			for (let at = 0; at < 50; at++) controller.enqueue(new Uint8Array(big.subarray(0, 1024 * 1024)));
			controller.close();
		}
	});
	expect(await post(stream, { duplex: 'half' })).toBe(413);
	expect((await app.post('/api/advise', corn)).status).toBe(200);
});

test('1,000 mutated requests give no 500', async ({ app }) => {
	const text = JSON.stringify(corn);
	const paths = [...text.matchAll(/"[^"]*"|\d+(\.\d+)?|true|false/g)].map(
		(match) => [match.index, match[0].length] as const
	);
	const mutation = fc.record({
		at: fc.nat({ max: paths.length - 1 }),
		to: fc.oneof(
			fc.json({ maxDepth: 2 }),
			fc.constantFrom(
				'-1',
				'0',
				'1e308',
				'-1e308',
				'""',
				'null',
				'[]',
				'{}',
				'"__proto__"',
				'1e-320',
				'9007199254740993'
			),
			fc.string({ maxLength: 20 }).map((word) => JSON.stringify(word))
		)
	});
	await fc.assert(
		fc.asyncProperty(fc.array(mutation, { minLength: 1, maxLength: 4 }), async (mutations) => {
			const body = [...mutations]
				.sort((a, b) => b.at - a.at)
				.reduce((all, { at, to }) => all.slice(0, paths[at]![0]) + to + all.slice(paths[at]![0] + paths[at]![1]), text);
			const response = await fetch(`${app.server.origin}/api/advise`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body
			});
			const answer = await response.text();
			if (response.status >= 500) throw new Error(`${response.status} for ${body}: ${answer}`);
			if (response.status === 200 && /NaN|Infinity/.test(answer))
				throw new Error(`not a number in the answer to ${body}`);
		}),
		{ numRuns: 1000 }
	);
	expect(app.server.log()).not.toContain('Error');
});

test('other sites cannot write to the book', async ({ app }) => {
	const foreign = { origin: 'http://evil.example' };
	const form = await fetch(`${app.server.origin}/api/settings`, {
		method: 'POST',
		headers: { ...foreign, 'content-type': 'text/plain' },
		body: '{"units":"metric"}'
	});
	expect(form.status).toBe(403);
	const json = (headers: Record<string, string>) =>
		fetch(`${app.server.origin}/api/advise`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', ...headers },
			body: JSON.stringify(corn)
		});
	const refused = await json(foreign);
	expect([refused.status, ((await refused.json()) as { message: string }).message]).toEqual([
		403,
		'This was sent by a page of another site; nothing was saved.'
	]);
	expect((await json({ 'sec-fetch-site': 'cross-site' })).status).toBe(403);
	expect((await json({ origin: app.server.origin })).status).toBe(200);
	const preflight = await fetch(`${app.server.origin}/api/settings`, {
		method: 'OPTIONS',
		headers: { ...foreign, 'access-control-request-method': 'POST' }
	});
	expect(preflight.headers.get('access-control-allow-origin')).toBeNull();
});

test('only this machine is listened to, and foreign names are refused', async ({ app }) => {
	const { port } = new URL(app.server.origin);
	const answer = await new Promise<string>((resolve, reject) => {
		const socket = connect(Number(port), '127.0.0.1', () =>
			socket.write('GET / HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n')
		);
		let text = '';
		socket.on('data', (part) => (text += String(part)));
		socket.on('end', () => resolve(text));
		socket.on('error', reject);
	});
	expect(answer).toContain('421');
	const elsewhere = await new Promise<string>((resolve) => {
		const socket = connect(Number(port), '127.0.0.2');
		socket.on('connect', () => resolve('connected'));
		socket.on('error', () => resolve('refused'));
	});
	expect(elsewhere).toBe('refused');
});

test('it starts on no address that others reach, and says why', async () => {
	const start = (host: string) =>
		spawnSync('node', ['bin/serve.js'], {
			env: { ...process.env, HOST: host, PORT: '1', COSECHA_DB: 'test-results/nowhere/book.db' },
			encoding: 'utf8'
		});
	for (const host of ['0.0.0.0', '::', '192.168.1.20', 'farm.example']) {
		const { status, stderr } = start(host);
		expect(status).toBe(1);
		expect(stderr).toContain(
			`Cosecha does not start at HOST=${host}: whoever reaches that address could read and change`
		);
	}
	expect(existsSync('test-results/nowhere')).toBe(false);
});

test('nothing of the book stays in a cache, and no type is guessed', async ({ app }) => {
	const headers = async (path: string) => (await fetch(app.server.origin + path)).headers;
	for (const path of ['/', '/api/fields', '/prices/file', '/field/none/2027/rates']) {
		expect((await headers(path)).get('cache-control'), path).toContain('no-store');
	}
	const [, asset] = /"\.(\/_app\/immutable\/[^"]+\.js)"/.exec(await (await fetch(app.server.origin)).text())!;
	for (const path of ['/', asset!, '/favicon.svg', '/api/fields']) {
		expect((await headers(path)).get('x-content-type-options'), path).toBe('nosniff');
	}
	expect((await headers(asset!)).get('cache-control')).toContain('immutable');
});

test('what is not there is a page that says so', async ({ page, app }) => {
	for (const path of ['/field/none/2027/rates', '/field/none/1/rates', '/sheets/none', '/import/none', '/nothing']) {
		const response = await page.goto(app.server.origin + path);
		expect(response?.status(), path).toBe(404);
		await expect(page.getByRole('link', { name: 'Back to the roster' })).toBeVisible();
	}
});
