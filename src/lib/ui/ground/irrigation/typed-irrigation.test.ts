import { describe, expect, it } from 'vitest';
import { readIrrigation, typedMonths } from './typed-irrigation';

const typed = { source: 'well', months: { 6: '4', 7: ' 8.5 ', 8: '' }, perWeek: '', sprinkled: false };

describe('irrigation as it is typed', () => {
	it('is read in inches, or in mm where the reader measures so', () => {
		expect(readIrrigation(typed, 'in')).toEqual({ source: 'well', inchesByMonth: { 6: 4, 7: 8.5 }, sprinkled: false });
		const metric = readIrrigation({ ...typed, months: { 6: '254' }, perWeek: '2' }, 'mm');
		expect(metric).toMatchObject({ inchesByMonth: { 6: 10 }, irrigationsPerWeek: 2 });
		expect(typedMonths({ source: 'well', inchesByMonth: { 6: 10 } }, 'mm')).toEqual({ 6: '254' });
		expect(typedMonths({ source: 'well', inchesByMonth: { 6: 1 / 3 } }, 'in')).toEqual({ 6: '0.33' });
	});
	it.each([
		[{ months: { 6: 'much' } }, 'Jun “much” must be in of water, 0 to 40'],
		[{ months: { 6: '41' } }, 'Jun “41”'],
		[{ months: { 6: '' } }, 'at least one month'],
		[{ perWeek: '0' }, 'Irrigations a week “0” must be 0.25 to 14'],
		[{ perWeek: '15' }, 'Irrigations a week “15”']
	])('%o is refused: %s', (change, says) => {
		expect(readIrrigation({ ...typed, ...change }, 'in')).toContain(says);
	});
});
