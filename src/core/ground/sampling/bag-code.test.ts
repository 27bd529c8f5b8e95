import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bagCode, checkDigits, readBagCode, serialIn } from './bag-code';

const codes = fc.tuple(fc.integer({ min: 2000, max: 2099 }), fc.integer({ min: 1, max: 99_999 }));
const digits = (code: string) => code.replaceAll('-', '');
const withDashes = (plain: string) => `${plain.slice(0, 2)}-${plain.slice(2, -2)}-${plain.slice(-2)}`;

describe('the code of a bag', () => {
	it('holds year, running number and check digits, and is read with or without its dashes', () => {
		expect(bagCode(2027, 1)).toBe('27-0001-45');
		expect(readBagCode(' 27-0001-45 ')).toEqual({ code: '27-0001-45' });
		expect(readBagCode('27000145')).toEqual({ code: '27-0001-45' });
		expect(serialIn(bagCode(2027, 12_345), 2027)).toBe(12_345);
		expect(serialIn('26-0009-99', 2027)).toBe(0);
	});

	// ISO/IEC 7064, MOD 97-10: 794 is given the check digits 44 (the standard's own example, from memory).
	it('has the check digits of the standard', () => expect(checkDigits('794')).toBe('44'));

	it('tells every single wrong digit, and every pair that changed places', () => {
		fc.assert(
			fc.property(codes, fc.nat(), fc.integer({ min: 1, max: 9 }), ([year, serial], where, by) => {
				const plain = digits(bagCode(year, serial));
				const at = where % plain.length;
				const wrong = `${plain.slice(0, at)}${(Number(plain[at]) + by) % 10}${plain.slice(at + 1)}`;
				expect(readBagCode(withDashes(wrong))).toBe('mistyped');
				const next = plain[at + 1];
				if (next === undefined || next === plain[at]) return;
				const turned = `${plain.slice(0, at)}${next}${plain[at]}${plain.slice(at + 2)}`;
				expect(readBagCode(withDashes(turned))).toBe('mistyped');
			})
		);
	});

	it.each(['', '5101', 'North', '27-01-45', '27000144', '0-8'])('is not seen in “%s”', (text) => {
		expect(readBagCode(text)).toBeUndefined();
	});
});
