/** Digits of the running number on a label at the least. */
const SERIAL_DIGITS = 4;
const CODE = /^(\d{2})-?(\d{4,7})-?(\d{2})$/;

/**
 * What a bag is called, on its label and in the lab's file: year, running number and two check digits, as "27-0042-19". Digits only, so
 * that nobody takes an O for a 0; the check digits (ISO/IEC 7064, MOD 97-10) find every wrong digit and every exchanged pair.
 * @param year of the plan
 * @param serial from 1, running through the year
 */
export function bagCode(year: number, serial: number): string {
	const prefix = String(year % 100).padStart(2, '0');
	const running = String(serial).padStart(SERIAL_DIGITS, '0');
	return `${prefix}-${running}-${checkDigits(prefix + running)}`;
}

/** The running number in a code of the year; 0 in one of another year. */
export function serialIn(code: string, year: number): number {
	const [prefix, running] = code.split('-');
	return Number(prefix) === year % 100 ? Number(running) : 0;
}

/** Two digits that stand behind others so that the whole, over 97, leaves 1. */
export function checkDigits(digits: string): string {
	return String(98 - (Number(`${digits}00`) % 97)).padStart(2, '0');
}

/**
 * The code in a cell of a lab's file, written as on the label whether or not the lab kept its dashes.
 * @returns undefined where the text is no code; `mistyped` where it is one but for its check digits, and has its dashes
 */
export function readBagCode(text: string): { code: string } | 'mistyped' | undefined {
	const plain = text.trim();
	const match = CODE.exec(plain);
	if (!match) return undefined;
	const [, prefix = '', running = '', check] = match;
	if (checkDigits(prefix + running) === check) return { code: `${prefix}-${running}-${check}` };
	// A lab's own number may be eight digits too; only with the dashes it was meant as a code.
	return plain.includes('-') ? 'mistyped' : undefined;
}
