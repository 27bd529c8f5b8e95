import { describe, expect, test } from 'vitest';
import { passOf as pass } from './pass.test-help';
import { passKept, passMoved, programmeTaken, remedyTaken } from './plan-change';

describe('changes of a plan', () => {
	const potash = pass('potash', { trip: 't' });
	const urea = pass('urea', { trip: 't' });
	const later = pass('later', { date: '2027-06-10' });
	const kept = [potash, urea, later];

	test('a pass takes its trip along to another day, and nothing else', () => {
		const change = passMoved(urea, '2027-05-02', kept);
		expect(change?.removed).toEqual(['urea', 'potash']);
		expect(change?.added.map(({ id, date }) => `${id} ${date}`)).toEqual(['urea 2027-05-02', 'potash 2027-05-02']);
		expect(passMoved(urea, urea.date, kept)).toBeUndefined();
	});

	test('a remedy takes the place of its pass; for none it is put beside the plan', () => {
		const two = [pass('a'), pass('b', { date: '2027-05-20' })];
		expect(remedyTaken({ label: 'Split it', passes: two }, 'later', kept)).toEqual({
			because: { kind: 'remedy', name: 'Split it' },
			removed: ['later'],
			added: two
		});
		expect(remedyTaken({ label: 'Add sulfur', passes: two }, undefined, kept).removed).toEqual([]);
	});

	test('one more product joins the trip of the first on its day', () => {
		const change = passKept(pass('sulfur', { date: '2027-01-01' }), { tripOf: later }, kept);
		expect(change.removed).toEqual(['later']);
		expect(change.added.map(({ id, date, trip }) => [id, date, trip])).toEqual([
			['later', '2027-06-10', 'later'],
			['sulfur', '2027-06-10', 'later']
		]);
		expect(passKept(pass('new'), {}, kept)).toEqual({ removed: [], added: [pass('new')] });
		expect(passKept(pass('later', { rate: 50 }), { pass: later }, kept)).toMatchObject({
			removed: ['later'],
			added: [{ rate: 50 }]
		});
	});

	test('a programme leaves what is done and does not write twice what stands already', () => {
		const change = programmeTaken({ name: 'all in spring', passes: [urea, pass('new')] }, kept, new Set(['potash']));
		expect(change.removed).toEqual(['later']);
		expect(change.added.map(({ id }) => id)).toEqual(['new']);
	});
});
