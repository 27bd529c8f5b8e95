import { expect, test } from 'vitest';
import { inOtherUnit, numberWithin, typedNumbers } from './number-within';

const depth = { least: 0, most: 24 };
const opener = { above: 0, most: 12 };
const harvests = { least: 1, most: 10, whole: true };

test('what lies within the bounds of its schema is read, ends included where they are', () => {
	expect([' 0', '24', '6.5'].map((text) => numberWithin(text, depth, 'The depth'))).toEqual([0, 24, 6.5]);
	expect(numberWithin('12', opener, 'The opener')).toBe(12);
	expect(numberWithin('10', harvests, 'The harvests')).toBe(10);
	expect(numberWithin('  ', depth, 'The depth')).toBeUndefined();
});

test('what does not is told with what would be right', () => {
	expect(numberWithin('25', depth, 'The depth', 'inches')).toBe('The depth “25” must be a number from 0 to 24 inches.');
	expect(numberWithin('-1', depth, 'The depth')).toBe('The depth “-1” must be a number from 0 to 24.');
	expect(numberWithin('0', opener, 'The opener')).toBe('The opener “0” must be a number above 0, at most 12.');
	expect(numberWithin('1.5', harvests, 'The harvests')).toBe('The harvests “1.5” must be a whole number from 1 to 10.');
	expect(numberWithin('deep', depth, 'The depth')).toContain('“deep”');
});

const facts = {
	depthIn: { ...depth, label: 'Sampled to', unit: 'in' },
	harvests: { ...harvests, label: 'Harvests' }
};

test('a form is a list of names: what is left out and needed is told, what is not needed stays out', () => {
	const read = (depthIn: string, count: string) => typedNumbers({ depthIn, harvests: count }, facts, ['depthIn']);
	expect(read('12', '')).toEqual({ depthIn: 12 });
	expect(read('0', '3')).toEqual({ depthIn: 0, harvests: 3 });
	expect(read(' ', '3')).toBe('Sampled to is not filled in.');
	expect(read('deep', '3')).toBe('Sampled to “deep” must be a number from 0 to 24 in.');
	expect(typedNumbers({ harvests: 'x' }, { harvests: facts.harvests }, [], 'lb/ton')).toContain('from 1 to 10 lb/ton.');
});

test('the bounds of a field are told in the reader’s unit', () => {
	expect(inOtherUnit(facts.depthIn, 2.54)).toMatchObject({ least: 0, most: 60.96, label: 'Sampled to' });
	expect(inOtherUnit(opener, 2.54)).toEqual({ above: 0, most: 30.48 });
	expect(inOtherUnit(depth, 1)).toEqual(depth);
});
