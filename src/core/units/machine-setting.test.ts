import { expect, it } from 'vitest';
import { figure, notApplicable } from '../figure/figure';
import { machineSetting, settingText } from './machine-setting';

it.each([
	[267.9, 'lb/ac', 268],
	[9.84, 'lb/ac', 9.8],
	[10.4, 'lb/ac', 10],
	[300.3, 'kg/ha', 300],
	[25.14, 'gal/ac', 25.1],
	[8.23, 'short ton/ac', 8.25],
	[0.75, 'short ton/ac', 0.75],
	[80.56, 't/ha', 80.55],
	[0.26, 't/ha', 0.25]
])('%d %s is set as %d', (rate, unit, set) => {
	expect(machineSetting(rate, unit)).toBeCloseTo(set, 9);
});

it('a unit that no machine is set in is left alone', () => {
	expect(machineSetting(0.1234, 'kg per palm')).toBe(0.1234);
});

it('print says the setting, or why there is no rate', () => {
	expect(settingText(figure({ label: 'UAN-28', value: 142.86, unit: 'lb/ac', basis: 'adviser' }))).toBe('143 lb/ac');
	expect(settingText(notApplicable('UAN-28', 'the density is not known', ''))).toBe('the density is not known');
});
