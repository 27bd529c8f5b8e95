import { describe, expect, it } from 'vitest';
import { longDate, shortDate } from './day-text';

describe('days in sentences', () => {
	it('are written day first, with the month by name', () => {
		expect(longDate('2027-06-04')).toBe('4 Jun 2027');
		expect(longDate('2026-12-31')).toBe('31 Dec 2026');
		expect(shortDate('2027-01-30')).toBe('30 Jan');
		expect(longDate('2027-06-04T10:22:00Z')).toBe('4 Jun 2027');
	});

	it('stay as they were written where they are no days', () => {
		for (const odd of ['spring', '', '2027-13-04', '4.6.2027']) {
			expect(longDate(odd)).toBe(odd);
			expect(shortDate(odd)).toBe(odd);
		}
	});
});
