import { beforeEach, describe, expect, it, vi } from 'vitest';

const navigation = vi.hoisted(() => ({ reloads: 0, complete: Promise.resolve() as Promise<void> }));
vi.mock('$app/navigation', () => ({
	invalidateAll: () => {
		navigation.reloads++;
		return Promise.resolve();
	}
}));
vi.mock('$app/state', () => ({
	navigating: {
		get complete() {
			return navigation.complete;
		}
	}
}));
const asked = vi.hoisted(() => ({ now: [] as unknown[], stands: 'own' as 'own' | 'book' }));
vi.mock('./conflict.svelte', () => ({
	askWhichStands: (now: unknown) => {
		asked.now.push(now);
		return Promise.resolve(asked.stands);
	}
}));

const { call, question, remove, save, sendFile } = await import('./call');
const { filesRead } = await import('./files/files-read.svelte');

interface Sent {
	url: string;
	method: string;
	body: unknown;
}
let sent: Sent[];
let signals: AbortSignal[];
let answers: (() => Promise<Response>)[];
const json = (status: number, body: unknown) => () => Promise.resolve(new Response(JSON.stringify(body), { status }));
const year = { field: 'f 1', year: 2027 };
const GOAL = 'PUT /api/fields/{field}/{year}/goal';
const goal = { crop: 'corn-grain', yieldGoal: 150 } as const;

beforeEach(() => {
	sent = [];
	answers = [];
	asked.now = [];
	navigation.reloads = 0;
	signals = [];
	vi.stubGlobal('fetch', (url: string, { method, body, signal }: RequestInit) => {
		if (signal) signals.push(signal);
		sent.push({ url, method: method!, body: typeof body === 'string' ? (JSON.parse(body) as unknown) : body });
		return (answers.shift() ?? json(200, {}))();
	});
});

describe('a change', () => {
	it('goes to the address with its names filled in, and the page is read anew', async () => {
		expect(await save(GOAL, year, goal)).toBe('');
		expect(sent).toEqual([{ url: '/api/fields/f%201/2027/goal', method: 'PUT', body: goal }]);
		expect(navigation.reloads).toBe(1);
	});

	it('gives the answer back, or what to say; nothing is read anew where it was refused', async () => {
		answers = [
			json(200, { id: 'new' }),
			json(422, { message: 'x', problems: [{ path: '/areaAcres', message: 'must be more than 0' }] })
		];
		const field = { name: 'North', grower: 'Tarrow' };
		expect(await call('POST /api/fields', {}, field)).toEqual({ answer: { id: 'new' } });
		expect(await call('POST /api/fields', {}, field)).toEqual({ problem: 'Area acres must be more than 0.' });
		expect(navigation.reloads).toBe(1);
	});

	it('says so where the program does not answer, or answers with what is no JSON', async () => {
		answers = [
			() => Promise.reject(new TypeError('refused')),
			() => Promise.resolve(new Response('<html>', { status: 502 }))
		];
		expect(await save(GOAL, year, goal)).toContain('does not answer; nothing was saved');
		expect(await save(GOAL, year, goal)).toContain('answered with an error (502)');
	});

	it('waits for the one before it, and is made from what that one left', async () => {
		let finish: (response: Response) => void = () => undefined;
		answers = [() => new Promise((resolve) => (finish = resolve))];
		const first = save(GOAL, year, goal);
		const second = save(GOAL, year, () => ({ ...goal, yieldGoal: 100 + navigation.reloads }));
		await new Promise((resume) => setTimeout(resume));
		expect(sent).toHaveLength(1);
		finish(new Response('{}'));
		await Promise.all([first, second]);
		expect(sent).toHaveLength(2);
		expect(sent[1]!.body).toMatchObject({ yieldGoal: 101 });
	});

	it('goes on after one that failed', async () => {
		answers = [json(409, { message: 'no', problems: [] })];
		const both = await Promise.all([save(GOAL, year, goal), save(GOAL, year, goal)]);
		expect(both).toEqual(['no', '']);
	});

	it('does not read the page anew in the middle of a navigation', async () => {
		let arrive: () => void = () => undefined;
		navigation.complete = new Promise((resolve) => (arrive = resolve));
		const saving = save(GOAL, year, goal);
		await new Promise((resume) => setTimeout(resume));
		expect(navigation.reloads).toBe(0);
		arrive();
		await saving;
		expect(navigation.reloads).toBe(1);
		navigation.complete = Promise.resolve();
	});
});

describe('what somebody changed meanwhile', () => {
	const now = { crop: 'corn-grain', yieldGoal: 171 };
	const stale = json(409, { message: 'changed', problems: [], now });

	it('is shown; “save mine” writes over what stands now, and only over that', async () => {
		asked.stands = 'own';
		answers = [stale];
		expect(await save(GOAL, year, { ...goal, seen: goal })).toBe('');
		expect(asked.now).toEqual([now]);
		expect(sent.map(({ body }) => (body as { seen?: unknown }).seen)).toEqual([goal, now]);
		expect(sent[1]!.body).toMatchObject(goal);
	});

	it('changed once more in between: the second refusal is said, not asked about for ever', async () => {
		asked.stands = 'own';
		answers = [stale, stale];
		expect(await save(GOAL, year, { ...goal, seen: goal })).toBe('changed');
		expect(sent).toHaveLength(2);
	});

	it('“keep what is in the book” sends nothing more and loads the page afresh', async () => {
		asked.stands = 'book';
		const reload = vi.fn();
		vi.stubGlobal('window', { location: { reload } });
		answers = [stale];
		expect(await save(GOAL, year, { ...goal, seen: goal })).toBe('changed');
		expect([sent.length, reload.mock.calls.length, navigation.reloads]).toEqual([1, 1, 0]);
	});

	it('where nothing was seen, as for the first goal of a year, what stands is asked about too', async () => {
		asked.stands = 'own';
		answers = [json(409, { message: 'changed', problems: [], now: null })];
		await save(GOAL, year, { ...goal, seen: goal });
		expect(asked.now).toEqual([null]);
	});
});

describe('what is no change', () => {
	it('a question has its words in the address and reads nothing anew', async () => {
		answers = [json(200, [{ id: 'f', name: 'North & South', grower: 'T' }])];
		expect((await question('GET /api/fields', {}, { find: 'north & south' })).answer).toHaveLength(1);
		await question('GET /api/cautions', {}, { year: '2027', field: ['a', 'b'] });
		expect(sent.map(({ url }) => url)).toEqual([
			'/api/fields?find=north+%26+south',
			'/api/cautions?year=2027&field=a&field=b'
		]);
		expect(navigation.reloads).toBe(0);
	});

	it('a removal has no body', async () => {
		expect(await remove('DELETE /api/curves/{curve}', { curve: 'my/curve' })).toBe('');
		expect(sent).toEqual([{ url: '/api/curves/my%2Fcurve', method: 'DELETE', body: undefined }]);
		answers = [json(404, { message: 'There is no such curve.', problems: [] })];
		expect(await remove('DELETE /api/curves/{curve}', { curve: 'x' })).toBe('There is no such curve.');
	});

	it('a file goes as it is; the page is read anew only where that was asked for', async () => {
		const file = new File(['a,b'], 'lab ü.csv');
		await sendFile('POST /api/imports', {}, file, { reload: false });
		expect(navigation.reloads).toBe(0);
		const address = { field: 'f' };
		await sendFile('POST /api/fields/{field}/layers/file', address, file, { query: { column: 'P' }, reload: true });
		expect(sent.map(({ url }) => url)).toEqual(['/api/imports', '/api/fields/f/layers/file?column=P']);
		expect(sent[0]!.body).toBe(file);
		expect(navigation.reloads).toBe(1);
	});

	it('is shown while it is read, and can be given up: the page is read anew, for it may have been taken', async () => {
		const file = new File(['a,b'], 'yield.csv');
		answers = [
			() =>
				new Promise((_, reject) => {
					signals[0]!.addEventListener('abort', () => reject(new DOMException('given up', 'AbortError')));
				})
		];
		const sending = sendFile('POST /api/imports', {}, file, { reload: true });
		expect(filesRead.now.map(({ name }) => name)).toEqual(['yield.csv']);
		filesRead.now[0]!.giveUp();
		expect(await sending).toEqual({ problem: 'yield.csv was given up.' });
		expect(filesRead.now).toEqual([]);
		expect(navigation.reloads).toBe(1);
	});
});
