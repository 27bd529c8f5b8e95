import { describe, expect, it } from 'vitest';
import { compilePacks } from '../../packs/compile-packs';
import type { PackDocument } from '../../schema-types';
import { cornRequest, cornRequestWith, library } from '../../testing.test-help';
import { advise } from '../advise';
import { ruleKinds } from '../kinds';

/** An adviser's own table: short tons by buffer pH, to pH 6.5 in water, 6 in of lime with an effective neutralizing value of 60 %. */
const own: PackDocument = {
	id: 'own-lime',
	version: '1.0.0',
	title: 'Own lime table',
	region: 'Here',
	edition: '1',
	phScale: 'water',
	finenessScheme: {
		sieves: [
			{ finerThanMesh: 100, efficiency: 1 },
			{ finerThanMesh: 0, efficiency: 0.2 }
		],
		basis: 'adviser'
	},
	rules: [
		{
			id: 'lime',
			title: 'lime by my table',
			gives: 'lime',
			school: 'lime-table',
			kind: 'lime-table',
			unit: 'short ton/ac',
			soilTest: { analyte: 'bufferPh', methods: ['smp'] },
			basis: 'adviser',
			parameters: {
				input: 'bufferPh',
				points: [
					[6.0, 6],
					[6.4, 4],
					[6.8, 1]
				],
				target: { ph: 6.5, scale: 'water' },
				referenceDepthIn: 6,
				referenceEffectiveFraction: 0.6,
				triggerBelowTarget: 0.3
			},
			examples: [
				{
					inputs: { soilPh: 5.6, bufferPh: 6.6, limeDepthIn: 6, effectiveFraction: 0.6 },
					gives: 2.5,
					tolerance: 1e-9,
					source: 'half way between two points of the table'
				}
			]
		}
	]
};

const packs = compilePacks([...library.packs.packs, own], ruleKinds);
const lime = (change: Parameters<typeof cornRequestWith>[0], more: object = {}) =>
	advise({ ...cornRequestWith(change), ...more }, { ...library, packs }, '2026-11-20').rates.find(
		({ method }) => method === 'own-lime/lime'
	)!;

describe('a lime table of the adviser’s own', () => {
	it('is read between its points and brought to the depth limed', () => {
		// Buffer 6.4 gives 4 short tons for 6 in, the guide's own depth, though the sample is 8 in deep.
		expect(lime({}).rate).toBeCloseTo(4, 9);
		expect(lime({}, { limeDepthIn: 8 }).rate).toBeCloseTo((4 * 8) / 6, 9);
	});
	it('goes by its own sieves for another lime, and asks for the one it lacks', () => {
		const sieved = (mesh: number) => ({
			limeDepthIn: 6,
			limingMaterial: { neutralizingValuePercent: 100, passing: [{ mesh, percent: 50 }] }
		});
		// 0.5 x 1 + 0.5 x 0.2 = 0.6 of it acts: as the reference does.
		expect(lime({}, sieved(100)).rate).toBeCloseTo(4, 9);
		expect(lime({}, sieved(60)).reason).toContain('percent passing 100 mesh');
	});
	it('keeps the gate of every lime rule, at its own trigger', () => {
		const at = (value: number) => lime({ pH: { method: 'water', value, unit: 'pH' } });
		expect(at(6.1).rate).toBeGreaterThan(0);
		expect(at(6.2)).toMatchObject({ applies: true, rate: 0 });
		expect(at(6.2).reason).toContain('not below the trigger of 6.2');
	});
	it('does not apply to a buffer it was not made for, and never goes below zero', () => {
		expect(lime({ bufferPh: { method: 'sikora', value: 6.4, unit: 'pH' } }).reason).toContain('calibrated on SMP');
		expect(lime({ bufferPh: { method: 'smp', value: 7.2, unit: 'pH' } }).rate).toBeGreaterThanOrEqual(0);
	});
	it('comes out the same with its steps and without', () => {
		const { kind, parametersFor } = packs.rules.find(({ method }) => method === 'own-lime/lime')!;
		const parameters = parametersFor(undefined);
		expect(kind.needs(parameters)).toEqual(['soilPh', 'bufferPh', 'limeDepthIn', 'effectiveFraction']);
		const answer = advise(cornRequest(), { ...library, packs }, '2026-11-20').rates.find(
			({ method }) => method === 'own-lime/lime'
		)!;
		expect(answer.worksheet.applies && answer.worksheet.value).toBeCloseTo(answer.rate!, 9);
	});
});
