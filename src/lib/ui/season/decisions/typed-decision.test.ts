import { expect, it } from 'vitest';
import { readDecision, type TypedDecision } from './typed-decision';

const TYPED: TypedDecision = {
	name: ' Rain ',
	on: '2027-06-12',
	look: 'rain',
	since: '2027-05-01',
	is: 'above',
	amount: '6',
	product: 'urea',
	rate: '100',
	unit: 'lb/ac',
	placement: 'broadcast',
	date: '2027-06-15'
};

it('is read in inches and pounds, whatever the reader types in', () => {
	expect(readDecision(TYPED, 'us')).toMatchObject({
		name: 'Rain',
		amount: 6,
		since: '2027-05-01',
		pass: { rate: 100, label: 'Rain' }
	});
	const metric = readDecision({ ...TYPED, amount: '152.4', rate: '112.085' }, 'metric');
	expect(metric).toMatchObject({ amount: 6, pass: { rate: expect.closeTo(100, 2) as number } });
	const nitrate = readDecision({ ...TYPED, look: 'nitrate', amount: '56.04' }, 'metric');
	expect(nitrate).toMatchObject({ amount: expect.closeTo(50, 2) as number });
	expect(nitrate).not.toHaveProperty('since');
});
it('what is missing is said', () => {
	expect(readDecision({ ...TYPED, name: ' ' }, 'us')).toBe('Give the decision a name.');
	expect(readDecision({ ...TYPED, amount: '' }, 'us')).toBe('Limit is not filled in.');
	expect(readDecision({ ...TYPED, amount: '30000' }, 'metric')).toBe(
		'Limit “30000” must be a number from 0 to 25400 mm.'
	);
	expect(readDecision({ ...TYPED, look: 'test', amount: 'x' }, 'metric')).toMatch(/from 0 to 1000 ppm\.$/);
	expect(readDecision({ ...TYPED, rate: '0' }, 'us')).toMatch(/^Product “0” must be a number above 0, .* lb\/ac\.$/);
});
