import { describe, expect, it } from 'vitest';
import { differencesOf } from './differences';
import { sentenceOf, wordsOf } from './refusal-text';

describe('what differs between the book and what was to be saved', () => {
	it('value by value, in words', () => {
		const book = { crop: 'corn-grain', yieldGoal: 170, plantingDate: '2027-05-04', rowSpacingIn: 30 };
		const own = { crop: 'corn-grain', yieldGoal: 150, targetPh: 6.2, seen: { yieldGoal: 1 } };
		expect(differencesOf(book, own)).toEqual([
			{ what: 'Yield goal', book: '170', own: '150' },
			{ what: 'Planting date', book: '4 May 2027', own: 'nothing' },
			{ what: 'Row spacing, in', book: '30', own: 'nothing' },
			{ what: 'Target pH', book: 'nothing', own: '6.2' }
		]);
		expect(differencesOf(book, { ...book })).toEqual([]);
	});

	it('things of a list by their names, wherever they stand in it', () => {
		const book = [{ id: '1', label: 'Urea', rate: 100 }];
		const own = [
			{ id: '2', label: 'Potash', rate: 60 },
			{ id: '1', label: 'Urea', rate: 90, broadcast: true }
		];
		expect(differencesOf(book, own)).toEqual([
			{ what: 'Urea, rate', book: '100', own: '90' },
			{ what: 'Potash, label', book: 'nothing', own: 'Potash' },
			{ what: 'Potash, rate', book: 'nothing', own: '60' },
			{ what: 'Urea, broadcast', book: 'nothing', own: 'yes' }
		]);
	});

	it('prices by their item, and what is gone as nothing', () => {
		expect(differencesOf({ 'product:urea': null }, { 'product:urea': 540 })).toEqual([
			{ what: 'Price of urea', book: 'nothing', own: '540' }
		]);
		expect(differencesOf(null, { yieldGoal: 5 })).toEqual([{ what: 'Yield goal', book: 'nothing', own: '5' }]);
	});
});

describe('a refusal in words', () => {
	it('names the field as people do', () => {
		const problems = [{ path: '/targetPh', message: 'must be 8 or less; got 9' }];
		expect(sentenceOf({ message: 'x', problems })).toBe('Target pH must be 8 or less; got 9.');
		expect(wordsOf('harvestedYield')).toBe('Harvested yield');
	});
	it('keeps to the message where a path lies deeper, or none is given', () => {
		expect(sentenceOf({ message: 'as it is', problems: [{ path: '/a/0/b', message: 'wrong' }] })).toBe('as it is');
		expect(sentenceOf({ message: 'no', problems: [] })).toBe('no');
	});
});
