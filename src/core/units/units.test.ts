import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allCautions, figure, notApplicable, withCaution } from '../figure/figure';
import { formatNumber, formatQuantity, plainNumber, tidy } from './display';
import { amountsIn, quantityIn } from './amount-text';
import { depthText, layerText, lengthText } from './length-text';
import {
	inSystem,
	perYieldOf,
	unitInSystem,
	valueFromSystem,
	valueInSystem,
	yieldInSystem,
	yieldUnitOf
} from './rate-units';
import { rainText, warmthText } from './weather-units';
import { conversionOf, unitsOf } from './result-units';

describe('print', () => {
	it.each([
		[84.2, 'lb/ac', '84.2 lb/ac'],
		[84.25, 'lb/ac', '84.3 lb/ac'],
		[59.999, 'lb/ac', '60 lb/ac'],
		[4.72, 'short ton/ac', '4.72 short ton/ac'],
		[5.6, 'pH', '5.6'],
		[31.2, '$/ac', '$31.20/ac'],
		[-31.2, '$/ac', '-$31.20/ac'],
		[0.37, '', '0.37'],
		[-0.000354, '', '-0.00035'],
		[0.00012345, '', '0.00012'],
		[3e-12, '', '0'],
		[12.34, '%', '12.3 %'],
		[31617.4, 'lb', '31,617 lb'],
		[1234567.5, 'lb', '1,234,568 lb'],
		[10050.27, '$', '$10,050.27']
	])('%f in %s is %s', (value, unit, expected) => expect(formatQuantity(value, unit)).toBe(expected));

	it('rounds halves away from zero, never to -0, and rounds decimals as a reader would', () => {
		expect(formatNumber(1.005, '$')).toBe('1.01');
		expect(formatNumber(-0.01, 'lb/ac')).toBe('0');
		expect(formatNumber(-2.25, 'lb/ac')).toBe('-2.3');
	});
	it('parts no thousands in files', () => expect(plainNumber(31617.4, 'lb/ac')).toBe('31617.4'));
	it('takes the noise of binary fractions away', () => expect(tidy(4.719999999999999)).toBe(4.72));
});

describe('units of a rate', () => {
	it('go there and back', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 1e6, noNaN: true }),
				fc.constantFrom('lb/ac', 'short ton/ac', '%'),
				(value, unit) => {
					expect(valueFromSystem(valueInSystem(value, unit, 'metric'), unit, 'metric')).toBeCloseTo(value, 6);
				}
			)
		);
	});
	it('say what a price or rate is of', () => {
		const price = figure({ label: 'price', value: 0.45, unit: '$/lb N', basis: 'adviser' });
		// 0.45359237 kg in a pound by definition (1959).
		expect(inSystem(price, 'metric')).toMatchObject({ unit: '$/kg N', value: expect.closeTo(0.45 / 0.45359237, 9) });
	});
	it('leave alone what has no metric twin, and what does not apply', () => {
		const share = figure({ label: 'share', value: 12, unit: '%', basis: 'measured' });
		expect(inSystem(share, 'metric')).toBe(share);
		const none = notApplicable('rate', 'no CEC', 'ask');
		expect(inSystem(none, 'metric')).toBe(none);
	});
});

describe('units of a result', () => {
	it('are each convertible, and no others', () => {
		expect(unitsOf('K')).toContain('meq/100g');
		expect(unitsOf('P')).not.toContain('meq/100g');
		for (const unit of unitsOf('K')) expect(conversionOf('K', unit, 6)?.factor).toBeGreaterThan(0);
		expect(conversionOf('P', 'meq/100g', 6)).toBeUndefined();
		expect(conversionOf('pH', 'ppm', 6)).toBeUndefined();
	});
});

describe('a figure', () => {
	it('is never made of what is no number', () => {
		expect(() => figure({ label: 'rate', value: NaN, unit: 'lb/ac', basis: 'practice' })).toThrow('rate is NaN');
		expect(() => figure({ label: 'rate', value: Infinity, unit: 'lb/ac', basis: 'practice' })).toThrow(RangeError);
	});
	it('gathers the cautions of all its steps, each once', () => {
		const leaf = figure({ label: 'K', value: 1, unit: 'ppm', basis: 'measured', cautions: ['half the limit'] });
		const root = figure({
			label: 'rate',
			value: 2,
			unit: 'lb/ac',
			basis: 'memory',
			inputs: [leaf, leaf],
			cautions: ['old']
		});
		expect(allCautions(root)).toEqual(['old', 'half the limit']);
		expect(withCaution(leaf, 'half the limit')).toBe(leaf);
	});
});

describe('what a reader of metric units sees', () => {
	const corn = { yieldUnit: 'bu/ac', bushelWeightLb: 56 } as const;
	const wheat = { yieldUnit: 'bu/ac', bushelWeightLb: 60 } as const;

	// The trade's factors: a bushel of corn an acre is 0.0628 t/ha, of wheat or soybean 0.0673; 39.37 bushels of corn are a tonne.
	it('bushels by what they weigh', () => {
		expect(valueInSystem(100, yieldUnitOf(corn), 'metric')).toBeCloseTo(6.28, 2);
		expect(valueInSystem(100, yieldUnitOf(wheat), 'metric')).toBeCloseTo(6.73, 2);
		expect(quantityIn('metric', 160, yieldUnitOf(corn))).toBe('10.04 t/ha');
		expect(quantityIn('us', 160, yieldUnitOf(corn))).toBe('160 bu/ac');
		expect(valueInSystem(1, `$ per ${perYieldOf(corn)}`, 'metric')).toBeCloseTo(39.37, 2);
		expect(unitInSystem(`$ per ${perYieldOf(corn)}`, 'metric')).toBe('$ per t');
		expect(unitInSystem(`lb per ${perYieldOf(wheat)}`, 'us')).toBe('lb per bu');
		expect(yieldUnitOf({ yieldUnit: 'ton/ac' })).toBe('ton/ac');
		const grown = figure({ label: 'yield', value: 100, unit: 'bu/ac', basis: 'measured' });
		expect(yieldInSystem(grown, corn, 'us')).toBe(grown);
		expect(yieldInSystem(grown, corn, 'metric')).toMatchObject({
			unit: 't/ha',
			value: expect.closeTo(6.277, 3) as number
		});
	});

	it('lengths, depths, rain and warmth', () => {
		expect(depthText(0, 24, 'metric')).toBe('0-61 cm');
		expect(depthText(0, 24, 'us')).toBe('0-24 in');
		expect(layerText({ top: 0, bottom: 5, depthUnit: 'cm' }, 'metric')).toBe('0-5 cm');
		expect(layerText({ top: 0, bottom: 8, depthUnit: 'in' }, 'metric')).toBe('0-20 cm');
		expect(layerText({ top: 0, bottom: 20, depthUnit: 'cm' }, 'us')).toBe('0-20 cm');
		expect(lengthText(60, 'metric')).toBe('18.3 m');
		expect(rainText(12, 'us')).toBe('0.5 in');
		expect(rainText(12, 'metric')).toBe('12 mm');
		expect([warmthText(10, 'us'), warmthText(10, 'metric')]).toEqual(['50 F', '10 C']);
		expect(quantityIn('metric', 30, 'in of water')).toBe('762 mm of water');
	});

	it('amounts that stand in braces in a text of a pack', () => {
		const text = 'One leaf {6 to 8 ft} up, never more than {1 lb/ac}.';
		expect(amountsIn('us', text)).toBe('One leaf 6 to 8 ft up, never more than 1 lb/ac.');
		expect(amountsIn('metric', text)).toBe('One leaf 1.8 to 2.4 m up, never more than 1.1 kg/ha.');
	});
});
