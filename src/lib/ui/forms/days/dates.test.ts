import { expect, test } from 'vitest';
import { typedDay } from './dates';

test('a day is read in each way people here write it, and what is no day stays as it was typed', () => {
	for (const written of ['2027-06-04', ' 4 Jun 2027', '4 June 2027', 'Jun 4, 2027', '6/4/2027'])
		expect(typedDay(written)).toBe('2027-06-04');
	for (const none of ['31 Jun 2027', 'after rain', '', '1/1/27']) expect(typedDay(none)).toBe(none);
});
