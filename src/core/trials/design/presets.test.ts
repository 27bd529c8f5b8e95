// Every question that is offered can be laid out as it stands, on half a mile square with usual machines.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { validator } from '../../check/validator';
import type { TrialPlan, TrialPresetList } from '../../schema-types';
import { treatmentOf } from '../analysis/plots';
import { QUARTER, RATES } from '../trial.test-help';
import { layOut } from './lay-out';
import { samePlots } from './same-plots';
import { treatmentCodes, treatmentText } from './treatment-codes';
import { factorIn, inUnitOf, levelUnits, usLevel, usUnitOf } from './level-units';
import { rateFactor, rateOf, treatmentNames, triesNitrogenAlone } from './treatments';

const { presets } = validator<TrialPresetList>('trial-presets')(
	JSON.parse(readFileSync('packs/reference/trial-presets.json', 'utf8'))
);
const planOf = ({
	fullLength,
	name,
	question,
	design,
	blocks,
	factors,
	usual,
	wholePlot
}: (typeof presets)[number]) => {
	const plan: TrialPlan = {
		...RATES,
		name,
		question,
		design,
		blocks,
		factors,
		usual,
		...(wholePlot === undefined ? {} : { wholePlot }),
		widthFt: 30,
		passFt: 30,
		lengthFt: 300
	};
	if (fullLength) delete plan.lengthFt;
	return plan;
};

describe('questions that are asked often', () => {
	it.each(presets.map((preset) => [preset.name, preset] as const))('%s', (_, preset) => {
		const plan = planOf(preset);
		const plots = layOut(plan, QUARTER);
		const names = treatmentNames(plan);
		expect(plots).toHaveLength(plan.blocks * names.length);
		expect(names).toContain(plan.usual);
		for (const name of names) expect(plots.filter((plot) => treatmentOf(plot) === name)).toHaveLength(plan.blocks);
		const rates = rateFactor(plan);
		if (rates?.unit === 'lb N/ac') expect(rates.levels).toContain('0');
	});
	it('in metric units the rates come out even, the usual one among them, and count as the pounds that they are', () => {
		for (const preset of presets) {
			const factors = preset.factors.map((factor) => factorIn(factor, 'metric'));
			const rates = rateFactor({ factors });
			if (!rates) continue;
			expect(levelUnits('metric')).toContain(rates.unit);
			expect(new Set(rates.levels).size).toBe(rates.levels.length);
			const before = rateFactor(preset)!;
			rates.levels.forEach((level, at) => {
				const step = rates.unit!.startsWith('t/') ? 0.25 : 2.5;
				expect(Math.abs(inUnitOf(rates, Number(before.levels[at])) - Number(level))).toBeLessThanOrEqual(step);
			});
		}
		const nitrogen = { name: 'N', unit: 'kg N/ha', levels: ['0', '200'] };
		// 1 lb/ac is 1.12085 kg/ha.
		expect(usLevel(nitrogen, '200')).toBeCloseTo(200 / 1.12085, 2);
		expect([
			usUnitOf('kg N/ha'),
			usUnitOf('t/ha'),
			usUnitOf('lb S/ac'),
			usUnitOf('short ton/ac'),
			usUnitOf('')
		]).toEqual(['lb N/ac', 'short ton/ac', 'lb S/ac', 'short ton/ac', '']);
		expect(triesNitrogenAlone({ factors: [nitrogen] })).toBe(true);
		expect(rateOf({ factors: [nitrogen] }, { levels: { N: '0' } })).toBe(0);
	});
	it('the eight programmes of one total, six blocks', () => {
		const eight = presets.find(({ id }) => id === 'placement-timing')!;
		expect([eight.factors[0]!.levels.length, eight.blocks]).toEqual([8, 6]);
	});
});

describe('names of treatments', () => {
	const many = { factors: [{ name: 'N', unit: 'lb N/ac', levels: Array.from({ length: 30 }, (_, at) => String(at)) }] };
	it('have a letter each, and two after the twenty-sixth', () => {
		const codes = [...treatmentCodes(many).values()];
		expect([codes[0], codes[25], codes[26], codes[29]]).toEqual(['A', 'Z', 'AA', 'AD']);
		expect(new Set(codes).size).toBe(30);
	});
	it('say the unit of a rate', () => {
		const factors = [{ name: 'Starter', levels: ['none', 'band'] }, many.factors[0]!];
		expect(treatmentText({ factors }, { Starter: 'band', N: '12' })).toBe('band, 12 lb N/ac');
		expect(rateFactor({ factors })!.name).toBe('N');
		expect(rateFactor({ factors: [factors[0]!] })).toBeUndefined();
	});
});

it('prices and words may change and the plots stay; seed, size or place do not', () => {
	expect(samePlots(RATES, { ...RATES, price: 5, name: 'Other', question: 'Why?' })).toBe(true);
	for (const change of [{ seed: 8 }, { widthFt: 90 }, { near: [1, 2] }, { blocks: 3 }]) {
		expect(samePlots(RATES, { ...RATES, ...change })).toBe(false);
	}
});
