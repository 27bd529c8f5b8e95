// A crop that the program does not ship, added as data alone: crop, stages, schedule, leaf ranges and guide, as docs/perennials.md says.
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { readLibrary, type Library } from '../../../lib/server/knowledge';
import { planContext } from '../../season/plan/plan-context.test-help';
import { proposeProgramme } from '../../season/propose/propose-programme';
import { advise } from '../advise';

const folder = mkdtempSync(path.join(tmpdir(), 'walnut-'));
let library: Library;

/** Puts the entries of the example into a copy of the shipped folder. */
beforeAll(() => {
	cpSync('packs', folder, { recursive: true });
	const example = JSON.parse(readFileSync('demo/packs/walnut.json', 'utf8')) as Record<string, unknown>;
	const add = (file: string, list: string, ...entries: unknown[]) => {
		const name = path.join(folder, 'reference', file);
		const document = JSON.parse(readFileSync(name, 'utf8')) as Record<string, unknown[]>;
		document[list]!.push(...entries);
		writeFileSync(name, JSON.stringify(document));
	};
	add('crops.json', 'crops', example.crop);
	add('stages.json', 'crops', example.stages);
	add('leaf-ranges.json', 'ranges', example.leafRanges);
	add('schedules.json', 'schedules', example.schedule);
	writeFileSync(path.join(folder, 'walnut.json'), JSON.stringify(example.guide));
	library = readLibrary(folder);
});
afterAll(() => rmSync(folder, { recursive: true }));

it('gives walnut a rate by crop load and by leaf test, for each tree', () => {
	const { rates, findings } = advise(
		{
			units: 'us',
			field: {},
			sample: {
				layers: [
					{ top: 0, bottom: 8, depthUnit: 'in', results: [{ analyte: 'pH', value: 6.8, unit: 'pH', method: 'water' }] }
				]
			},
			crop: {
				id: 'walnut',
				yieldGoal: 5000,
				year: 2027,
				block: { plantedYear: 2010, rowSpacing: 26, plantSpacing: 26 },
				blockYear: { leaf: { N: 2.3, K: 1.2 } }
			},
			methods: ['walnut/nitrogen', 'walnut/leaf-nitrogen']
		},
		library,
		'2026-11-23'
	);
	expect(findings.map(({ text }) => text)).toContain('Leaf N is 2.3 %, below 2.5 % for mid-shoot leaflets, July.');
	expect(findings.filter(({ code }) => code.startsWith('leaf'))).toHaveLength(1);
	const [load, leaf] = rates;
	// By the coefficients of the example: (5,000 x 0.03 + 10) / 0.8 = 200; 120 x (1 + 0.1 x (2.5 - 2.3) / 0.1) = 144.
	expect(load!.rate).toBeCloseTo(200, 9);
	expect(leaf!.rate).toBeCloseTo(144, 9);
	expect(load!.perPlant).toMatchObject({ value: expect.closeTo(200 / (43_560 / 676), 9) as number });
});

it('gives walnut its stages and a schedule that follows them', () => {
	const stages = library.stages.find(({ crop }) => crop === 'walnut');
	const schedule = library.schedules.find(({ crop }) => crop === 'walnut');
	const crop = library.crops.find(({ id }) => id === 'walnut')!;
	const { passes } = proposeProgramme({ ...planContext(), crop, stages, schedule, chosen: { N: 150 } });
	expect(passes.map(({ date }) => date)).toEqual(['2027-05-05', '2027-06-20']);
});
