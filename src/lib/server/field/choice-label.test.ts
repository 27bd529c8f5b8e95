import { expect, test } from 'vitest';
import type { Rate } from '../../../core/schema-types';
import { choiceLabel } from './choice-label';

const rates = [
	{
		nutrient: 'N',
		method: 'plains/balance',
		school: 'mass-balance',
		packTitle: 'Plains guide',
		title: 'Corn on silt loam'
	},
	{ nutrient: 'P2O5', method: 'plains/p', school: 'feed-the-crop', packTitle: 'Plains guide' }
] as Rate[];

test('what the history says of rates that were settled', () => {
	const n = { nutrient: 'N', method: 'plains/balance' } as const;
	expect(choiceLabel([n], rates)).toBe('Chose mass balance for N');
	expect(choiceLabel([{ ...n, bothYears: true }], rates)).toBe('Chose mass balance for N, both crops in one pass');
	expect(choiceLabel([n], rates, { objective: 'most-yield' })).toBe('Chose maximum yield by Corn on silt loam for N');
	expect(choiceLabel([n, { nutrient: 'P2O5', method: 'plains/p' }], rates)).toBe('Chose Plains guide throughout');
	expect(choiceLabel([{ nutrient: 'S', ownRate: 9, reason: 'pale' }], rates)).toBe('Set S by own judgement');
});
