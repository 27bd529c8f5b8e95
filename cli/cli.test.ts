import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { AdviseAnswer } from '../src/core/schema-types';

const corn = readFileSync('demo/requests/corn-after-soybean.json', 'utf8');

function cosecha(input: string, ...args: string[]) {
	const { status, stdout, stderr } = spawnSync('node', ['bin/cosecha.js', ...args], { input, encoding: 'utf8' });
	return { status, stdout, stderr };
}

describe('cosecha advise', () => {
	it('answers the shipped request with rates and every step', () => {
		const { status, stdout } = cosecha(corn, 'advise');
		expect(status).toBe(0);
		const { rates } = JSON.parse(stdout) as AdviseAnswer;
		const potash = rates.find(({ method }) => method === 'tri-state-1995/potassium');
		expect(potash).toMatchObject({
			nutrient: 'K2O',
			applies: true,
			rate: 63.2,
			unit: 'lb/ac',
			school: 'build-and-maintain'
		});
		expect(JSON.stringify(potash?.worksheet)).toContain('75 + 2.5 x CEC');
	});

	it.each([
		['a wrong type', corn.replace('"yieldGoal": 160', '"yieldGoal": "160"'), '/crop/yieldGoal'],
		[
			'an unknown analyte',
			corn.replace('"analyte": "CEC"', '"analyte": "Unobtainium"'),
			'/sample/layers/0/results/4/analyte'
		],
		['a negative value', corn.replace('"value": 120', '"value": -120'), '/sample/layers/0/results/3/value'],
		['an unknown key', corn.replace('"units"', '"unit": 1, "units"'), ''],
		['a date that never was', corn.replace('2026-10-12', '2026-13-40'), '/sample/date'],
		['not a number', corn.replace('"value": 120', '"value": NaN'), ''],
		['broken JSON', corn.slice(0, -20), ''],
		['nothing', '', '']
	])('answers %s with the path and exit code 2', (_name, body, path) => {
		const { status, stdout } = cosecha(body, 'advise');
		expect(status).toBe(2);
		const { problems } = JSON.parse(stdout) as { problems: { path: string; message: string }[] };
		expect(problems[0]?.path).toBe(path);
		expect(problems[0]?.message.length).toBeGreaterThan(5);
	});

	it('says how it is used', () => {
		expect(cosecha('', 'divine')).toMatchObject({ status: 2 });
		expect(cosecha('', '--help').stderr).toContain('verbs: advise');
	});
});
