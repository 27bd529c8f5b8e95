import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { buildCommandLine } from '../scripts/build-bundles.js';
import type {
	AdviseAnswer,
	BlendAnswer,
	CalibrateAnswer,
	FitAnswer,
	LeafAnswer,
	SeasonAnswer,
	TrialAnswer,
	TrialRequest,
	WaterAnswer
} from '../src/core/schema-types';

// From the code as it is now, whatever was bundled before.
beforeAll(buildCommandLine);

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

	// University of California almond guidance, from memory: 237.8 lb, here on 22 x 18 ft with a strip of 9 ft.
	it('answers for a block of almonds on four bases', () => {
		const { status, stdout } = cosecha(readFileSync('demo/requests/almond-block.json', 'utf8'), 'advise');
		expect(status).toBe(0);
		const { rates, derived } = JSON.parse(stdout) as AdviseAnswer;
		const [nitrogen] = rates;
		expect(nitrogen!.rate).toBeCloseTo(237.77, 2);
		expect(nitrogen).toMatchObject({
			perPlant: { value: expect.closeTo(237.77 / 110, 3) as number, unit: 'lb/plant' },
			per100Row: { value: expect.closeTo(237.77 / 19.8, 2) as number },
			perTreated: { value: expect.closeTo(237.77 / (9 / 22), 1) as number }
		});
		expect(derived.worksheets.plantAge).toMatchObject({ value: 16 });
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

	it('takes tests in the crop, strips, curves, terms and passes', () => {
		const request = {
			...(JSON.parse(corn) as object),
			nitrogen: { objective: 'least-left', toleranceDollars: 5, manureN: 20 },
			programme: [{ label: 'Starter', nitrogen: 37, placement: '2x2 band', daysFromPlanting: 0, applied: true }],
			inSeason: {
				nitrate: { nitratePpm: 14, depthIn: 12 },
				strips: { zones: [{ name: 'All', yieldWithout: 120, yieldRich: 160 }] }
			},
			responseCurves: [
				{
					id: 'own',
					title: 'Own',
					crop: 'corn-grain',
					curve: { model: 'quadratic-plateau', coefficients: { a: 113.2, b: 1.033, c: -0.00285 } },
					lowestRate: 0,
					highestRate: 240,
					basis: 'measured',
					source: 'own strips'
				}
			],
			nitrogenRate: 160
		};
		const { status, stdout } = cosecha(JSON.stringify(request), 'advise');
		expect(status).toBe(0);
		const { rates, nitrogen } = JSON.parse(stdout) as AdviseAnswer;
		const rate = (method: string) => rates.find((one) => one.method === method);
		expect(rate('in-season-nitrogen/corn-nitrate')).toMatchObject({ rate: 88, stands: 'from now on' });
		expect(rate('in-season-nitrogen/corn-nitrate')?.seasonTotal).toMatchObject({ value: 125 });
		expect(rate('in-season-nitrogen/strips')?.zones).toHaveLength(1);
		expect(rate('own-curves/own')?.objectives?.mostProfit).toMatchObject({ applies: true });
		expect(rate('tri-state-1995/nitrogen')?.rate).toBeCloseTo(140.6, 9);
		expect(nitrogen?.balance).toMatchObject({ applies: true, value: expect.closeTo(160 + 20 - 160 * 0.67, 9) });
		expect(rate('placed-nitrogen/corn')?.reason).toContain('nothing is placed at the row base');
	});

	it('says how it is used', () => {
		expect(cosecha('', 'divine')).toMatchObject({ status: 2 });
		expect(cosecha('', '--help').stderr).toContain(
			'verbs: advise, blend, calibrate, fit, leaf, pool, season, trial, water'
		);
	});
});

describe('cosecha fit', () => {
	const observations = [0, 60, 120, 180, 240].flatMap((rate) =>
		[1, 2, 3].map((block) => ({ rate, yield: 110 + Math.min(rate, 170) * 0.5 + (block - 2) * 3 + (rate % 7), block }))
	);

	it('answers with four fits, optima and an interval', () => {
		const { status, stdout } = cosecha(JSON.stringify({ observations, priceRatio: 0.13, replicates: 200 }), 'fit');
		expect(status).toBe(0);
		const answer = JSON.parse(stdout) as FitAnswer;
		expect(answer.fits.map(({ model }) => model)).toEqual([
			'quadratic-plateau',
			'quadratic',
			'linear-plateau',
			'mitscherlich'
		]);
		expect(answer.best).not.toBeNull();
		expect(answer.eonrInterval).toHaveLength(2);
		expect(answer.bootstrap).toMatchObject({ by: 'block', replicates: 200 });
	});

	it('refuses a bad observation with the path and exit code 2', () => {
		const { status, stdout } = cosecha(JSON.stringify({ observations: [{ rate: 0, yield: 'high' }] }), 'fit');
		expect(status).toBe(2);
		expect(JSON.parse(stdout)).toMatchObject({ problems: [{ path: '/observations/0/yield' }] });
	});
});

describe('cosecha season', () => {
	const season = readFileSync('demo/requests/corn-season.json', 'utf8');

	it('takes a block: its demand by the shares of its schedule, its stages by its bud break', () => {
		const { status, stdout } = cosecha(readFileSync('demo/requests/almond-season.json', 'utf8'), 'season');
		expect(status).toBe(0);
		const { balance, checks, stages } = JSON.parse(stdout) as SeasonAnswer;
		expect(balance.wanted).toBeCloseTo(237.8, 1);
		expect(stages.find(({ name }) => name === 'kernel fill')?.date).toBe('2027-05-31');
		expect(checks).toEqual([]);
	});

	it('answers the shipped request day by day, with a balance', () => {
		const { status, stdout } = cosecha(season, 'season');
		expect(status).toBe(0);
		const { days, balance } = JSON.parse(stdout) as SeasonAnswer;
		expect(days.length).toBeGreaterThan(120);
		expect(balance.applied).toBeCloseTo(160, 1);
	});

	it('refuses an unknown placement with the path', () => {
		const { status, stdout } = cosecha(season.replace('2x2 band', 'by drone'), 'season');
		expect(status).toBe(2);
		expect(JSON.parse(stdout)).toMatchObject({ problems: [{ path: '/passes/0/placement' }] });
	});
});

describe('cosecha blend', () => {
	const shipped = readFileSync('demo/requests/corn-blend.json', 'utf8');
	it('answers the shipped request: cost, uses, what it delivers and what the last pound costs', () => {
		const { status, stdout } = cosecha(shipped, 'blend');
		expect(status).toBe(0);
		const answer = JSON.parse(stdout) as BlendAnswer;
		expect(answer.status).toBe('optimal');
		expect(answer.cost).toBeCloseTo(102.531, 3);
		expect(answer.uses.map(({ id }) => id)).toEqual(['urea', 'ammonium-sulfate', 'map', 'potash']);
		expect(answer.delivered.S).toBeCloseTo(15, 6);
		// 0.27 / 0.46
		expect(answer.shadowPrices.N).toBeCloseTo(0.587, 3);
	});
	it('an infeasible one names the demand and is no error', () => {
		const { status, stdout } = cosecha(shipped.replace('"S": 15', '"S": 15, "Mg": 5'), 'blend');
		expect(status).toBe(0);
		const answer = JSON.parse(stdout) as BlendAnswer;
		expect(answer.status).toBe('infeasible');
		expect(answer.conflict).toMatchObject([{ nutrient: 'Mg', wanted: 5, within: 0 }]);
	});
	it.each([
		['a price that is no number', shipped.replace('0.27', '"dear"'), '/products/0/pricePerLb'],
		['a negative demand', shipped.replace('"N": 60', '"N": -60'), '/demand/N'],
		['no product', JSON.stringify({ products: [], demand: { N: 1 } }), '/products'],
		['an unknown key', shipped.replace('"maxProducts"', '"most"'), '']
	])('answers %s with the path and exit code 2', (_name, body, path) => {
		const { status, stdout } = cosecha(body, 'blend');
		expect(status).toBe(2);
		const { problems } = JSON.parse(stdout) as { problems: { path: string }[] };
		expect(problems[0]?.path).toBe(path);
	});
});

describe('cosecha water', () => {
	const well = readFileSync('demo/requests/well-water.json', 'utf8');

	// Ayers and Westcot 1985, Rhoades 1974, Maas and Hoffman 1977, from memory.
	it('answers the shipped request with indices, acid and what the water brings', () => {
		const { status, stdout } = cosecha(well, 'water');
		expect(status).toBe(0);
		const answer = JSON.parse(stdout) as WaterAnswer;
		expect(answer).toMatchObject({
			sar: expect.closeTo(4.07, 2) as number,
			rsc: expect.closeTo(-1.1, 9) as number,
			infiltration: 'slight to moderate',
			leachingRequirement: expect.closeTo(0.19, 2) as number,
			relativeYield: 81,
			acid: { meqPerL: expect.closeTo(1.58, 2) as number, lbPerAcreFoot: expect.closeTo(210.9, 0) as number },
			nitrogenCredit: expect.closeTo(0.36 * 14.007 * 2.72 * 3, 6) as number
		});
		expect(answer.cautions.map(({ code }) => code)).toContain('phosphate-precipitates');
		expect(answer.worksheets.sar).toMatchObject({ formula: 'Na / sqrt((Ca + Mg) / 2)' });
	});
	it.each([
		['a crop that is none', well.replace('almond', 'durian'), '/crop'],
		['an ion below nothing', well.replace('"ca": 3.2', '"ca": -3.2'), '/water/ca'],
		['acid to a pH that eats pipes', well.replace('"acidTo": 6.5', '"acidTo": 4'), '/acidTo'],
		['no unit', well.replace('"unit": "meq/L",', ''), '/water']
	])('answers %s with the path and exit code 2', (_name, body, path) => {
		const { status, stdout } = cosecha(body, 'water');
		expect(status).toBe(2);
		expect((JSON.parse(stdout) as { problems: { path: string }[] }).problems[0]?.path).toBe(path);
	});
});

describe('cosecha leaf', () => {
	const leaf = readFileSync('demo/requests/soybean-leaf.json', 'utf8');

	it('answers the shipped pair: phosphorus differs most, and no rescue of it is offered', () => {
		const { status, stdout } = cosecha(leaf, 'leaf');
		expect(status).toBe(0);
		const { readable, findings, pair } = JSON.parse(stdout) as LeafAnswer;
		expect(readable).toBe(true);
		expect(pair?.[0]?.element).toBe('P');
		expect(findings.map(({ code, element }) => `${code} ${element}`)).toEqual(['spots-differ P', 'leaf-low P']);
	});
	it('at another stage it is not read', () => {
		const { stdout } = cosecha(leaf.replace('R1', 'R5'), 'leaf');
		expect(JSON.parse(stdout)).toMatchObject({ readable: false, findings: [] });
	});
	it('refuses an element that is none', () => {
		const { status, stdout } = cosecha(leaf.replace('"N": 4.6', '"Xx": 4.6'), 'leaf');
		expect(status).toBe(2);
		expect(JSON.parse(stdout)).toMatchObject({ problems: [{ path: '/results' }] });
	});
});

describe('cosecha trial and calibrate', () => {
	it('reads the shipped trial of placement and timing, in words', () => {
		const { status, stdout } = cosecha(readFileSync('demo/requests/placement-trial.json', 'utf8'), 'trial');
		expect(status).toBe(0);
		const { anova, verdict, means } = JSON.parse(stdout) as TrialAnswer;
		expect(anova.find(({ source }) => source === 'programme')).toMatchObject({ df: 5 });
		expect(means).toHaveLength(6);
		expect(verdict).toMatch(/^programme makes a difference .*row base at V7/);
	});
	it('names the plot that lacks a factor', () => {
		const trial = JSON.parse(readFileSync('demo/requests/placement-trial.json', 'utf8')) as TrialRequest;
		trial.observations[3]!.levels = { other: 1 };
		const { status, stdout } = cosecha(JSON.stringify(trial), 'trial');
		expect(status).toBe(2);
		expect(stdout).toContain('/observations/3/levels');
	});
	it('gives critical values of twenty sites by five ways, with intervals', () => {
		const { status, stdout } = cosecha(readFileSync('demo/requests/potassium-sites.json', 'utf8'), 'calibrate');
		expect(status).toBe(0);
		const { fits } = JSON.parse(stdout) as CalibrateAnswer;
		for (const { critical, interval } of fits) {
			expect(interval![0]).toBeLessThanOrEqual(critical!);
			expect(interval![1]).toBeGreaterThanOrEqual(critical!);
		}
		expect(fits.map(({ model }) => model)).toEqual([
			'cate-nelson',
			'linear-plateau',
			'quadratic-plateau',
			'mitscherlich',
			'arcsine-log'
		]);
	});
});
