import { describe, expect, it } from 'vitest';
import { keptAmount, keptNumber, keptNumbers, typedAmount, typedAmounts } from './typed-amount';

describe('an amount in a form, in the reader’s units', () => {
	it('is typed in hectares and kept in acres', () => {
		expect(typedAmount(61.5, 'ac', 'metric')).toBe('24.888');
		// 10 ha are 24.7105 acres, by the exact definitions of foot and acre.
		expect(keptAmount('10', 61.5, 'ac', 'metric')).toBeCloseTo(24.7105, 4);
		expect(keptAmount('10', 61.5, 'ac', 'us')).toBe(10);
	});

	it('stays to the last digit where nobody changed it', () => {
		const shown = typedAmount(61.512345, 'ac', 'metric');
		expect(keptAmount(shown, 61.512345, 'ac', 'metric')).toBe(61.512345);
	});

	it('says nothing where there is no number', () => {
		expect(typedAmount(null, 'ac', 'us')).toBe('');
		expect(keptAmount('much', undefined, 'ac', 'us')).toBeUndefined();
		expect(keptAmount('', 40, 'ac', 'metric')).toBeUndefined();
	});

	it('is bounded in the unit it is typed in', () => {
		const area = { label: 'Area', above: 0, most: 100 };
		// 100 acres are 40.47 ha.
		expect(keptNumber('41', undefined, area, 'ac', 'metric')).toBe(
			'Area “41” must be a number above 0, at most 40.47 ha.'
		);
		expect(keptNumber('41', undefined, area, 'ac', 'us')).toBe(41);
		expect(keptNumber('10', 61.5, area, 'ac', 'metric')).toBeCloseTo(24.7105, 4);
		expect(keptNumber('', 61.5, area, 'ac', 'metric')).toBeUndefined();
		expect(keptNumber(typedAmount(61.512345, 'ac', 'metric'), 61.512345, area, 'ac', 'metric')).toBe(61.512345);
	});

	it('several under names of a schema: what is empty is left out, the first that is none is told', () => {
		const facts = {
			area: { label: 'Area', above: 0, most: 100, unit: 'ac' },
			share: { label: 'Share', least: 0, most: 100, unit: '%' }
		};
		const shown = typedAmounts({ area: 61.5 }, facts, 'metric');
		expect(shown).toEqual({ area: '24.888', share: '' });
		expect(keptNumbers(shown, { area: 61.5 }, facts, 'metric')).toEqual({ area: 61.5 });
		expect(keptNumbers({ area: '', share: '40' }, { area: 61.5 }, facts, 'metric')).toEqual({ share: 40 });
		expect(keptNumbers({ area: '1', share: 'x' }, {}, facts, 'us')).toContain('Share “x” must be');
	});
});
