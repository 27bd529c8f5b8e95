import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cornRequest } from '../../core/testing.test-help';
import { advise } from '../../core/rates/advise';
import { readLibrary } from './knowledge';

let folder: string;
beforeEach(() => {
	folder = mkdtempSync(path.join(tmpdir(), 'packs-'));
	cpSync('packs', folder, { recursive: true });
});
afterEach(() => rmSync(folder, { recursive: true }));

const change = (file: string, edit: (text: string) => string) => {
	const at = path.join(folder, file);
	writeFileSync(at, edit(readFileSync(at, 'utf8')));
};

describe('a folder of packs', () => {
	it('serves a guide that was dropped in, without a change to the code', () => {
		const text = readFileSync('packs/northern-plains.json', 'utf8');
		writeFileSync(path.join(folder, 'my-state.json'), text.replace('"id": "northern-plains"', '"id": "my-state"'));
		const { rates } = advise(cornRequest(), readLibrary(folder), '2026-11-20');
		expect(rates.find(({ method }) => method === 'my-state/potassium')?.rate).toBe(46.4);
	});

	it.each([
		[
			'a coefficient that breaks its worked example',
			'tri-state-1995.json',
			'"perYield": 1.36',
			'"perYield": 1.3',
			/tri-state-1995\.json:\d+: .*should give 160\.6/
		],
		['broken JSON', 'wheat-sulfur.json', '"rules"', 'rules', /wheat-sulfur\.json:\d+: /],
		[
			'two packs of one name',
			'wheat-sulfur.json',
			'"id": "wheat-sulfur"',
			'"id": "tri-state-1995"',
			/two packs are named/
		],
		['an unknown crop', 'reference/crops.json', '"corn-grain"', '"maize"', /“corn-grain” is not in crops\.json/],
		[
			'a guide’s unknown crop',
			'crop-removal.json',
			'"oats": {',
			'"oat": {',
			/crop-removal\.json:\d+: .*is in no crop list/
		],
		[
			'a percent over a hundred',
			'reference/products.json',
			'"N": 46',
			'"N": 460',
			/products\.json: .*must be 100 or less/
		]
	])('is refused for %s, naming the file', (_name, file, from, to, message) => {
		change(file, (text) => text.replace(from, to));
		expect(() => readLibrary(folder)).toThrow(message);
	});

	it('has a schedule, known products and a caution for all that it plans with', () => {
		const { schedules, products } = readLibrary(folder);
		const known = new Set(products.map(({ id }) => id));
		for (const { crop, nitrogen, phosphorus, potassium, sulfur, lime } of schedules) {
			for (const step of [...nitrogen, phosphorus, potassium, sulfur, lime]) {
				const product = products.find(({ id }) => id === step.product);
				expect(known.has(step.product), `${crop} ${step.id}`).toBe(true);
				expect(product?.placements, `${crop} ${step.id}`).toContain(step.placement);
			}
		}
	});
});
