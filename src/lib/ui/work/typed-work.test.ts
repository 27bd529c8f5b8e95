// What is typed of work on many fields and of a house programme, as it is sent, or what is wrong with it.
import { describe, expect, it } from 'vitest';
import type { HouseProgramme } from '$core/schema-types';
import { programmeOf, typedProgramme } from './typed-programme';
import { USUAL_ROUNDING, usualWork, workOf, type TypedWork } from './typed-work';

const typed = (change: Partial<TypedWork>) => workOf({ ...usualWork('us'), ...change }, 'us', 'bu/ac');

describe('work that was typed', () => {
	it('sets crop and goal by rotation and harvests, or the same for all', () => {
		expect(typed({})).toEqual({ kind: 'crop', goal: { by: 'best' } });
		expect(typed({ crop: 'oats', goalBy: 'mean', harvests: '4', otherwise: '150' })).toEqual({
			kind: 'crop',
			crop: 'oats',
			goal: { by: 'mean', harvests: 4 },
			otherwise: 150
		});
		// Of several crops it would be in several units.
		expect(typed({ goalBy: 'mean', harvests: '4', otherwise: '150' })).not.toHaveProperty('otherwise');
		expect(typed({ crop: 'soybean', goalBy: 'amount', amount: '52' })).toEqual({
			kind: 'crop',
			crop: 'soybean',
			goal: { by: 'amount', amount: 52 }
		});
	});
	it('takes programmes, products, days and steps', () => {
		expect(typed({ kind: 'programme' })).toEqual({ kind: 'programme' });
		expect(typed({ kind: 'programme', programme: 'p' })).toEqual({ kind: 'programme', programme: 'p' });
		expect(typed({ kind: 'product', from: 'a', to: 'b' })).toEqual({ kind: 'product', from: 'a', to: 'b' });
		expect(typed({ kind: 'days', days: '-3', product: 'a' })).toEqual({ kind: 'days', days: -3, product: 'a' });
		expect(typed({ kind: 'rounding', rounding: { ...USUAL_ROUNDING.us, gal: '' } })).toEqual({
			kind: 'rounding',
			rounding: { lb: 5, shortTon: 0.25 }
		});
		expect(typed({ kind: 'proposal' })).toEqual({ kind: 'proposal' });
		expect(typed({ kind: 'crop list', list: 'a, b, 1' })).toEqual({ kind: 'crop list', text: 'a, b, 1' });
	});
	it.each<[Partial<TypedWork>, RegExp]>([
		[{ goalBy: 'amount', amount: 'lots' }, /Goal “lots” must be a number above 0, at most 100000/],
		[{ goalBy: 'mean', harvests: '0' }, /Harvests “0” must be a whole number from 1 to 10/],
		[{ crop: 'oats', otherwise: '-1' }, /Goal without a harvest “-1” must be a number above 0/],
		[{ kind: 'crop list', list: ' ' }, /Paste a line for each field/],
		[{ kind: 'product', from: 'a' }, /which one takes its place/],
		[{ kind: 'days', days: '1.5' }, /Days later .* “1.5” must be a whole number from -120 to 120/],
		[{ kind: 'days', days: '0' }, /stay where they are/],
		[{ kind: 'days', days: '' }, /Days later .* is not filled in/],
		[
			{ kind: 'rounding', rounding: { ...USUAL_ROUNDING.us, lb: '500' } },
			/Dry products to “500” must be a number from 0.1 to 100 lb\/ac/
		]
	])('says what is wrong with %o', (change, message) => {
		expect(typed(change)).toEqual({ problem: expect.stringMatching(message) as string });
	});
});

describe('a house programme that was typed', () => {
	const kept: HouseProgramme = {
		name: 'Corn on light soil',
		crops: ['corn-grain'],
		ground: { cecBelow: 12, textures: ['sand'] },
		rates: [{ nutrient: 'P2O5', methods: ['a/p', 'b/p'], bothYears: true }],
		rounding: { lb: 5 },
		products: [{ instead: 'urea', take: 'uan-28' }],
		nitrogen: [
			{ label: 'Starter', product: 'uan-28', placement: '2x2 band', daysFromPlanting: 0, sharePercent: 25 },
			{ label: 'Late', product: 'uan-28', placement: 'injected', daysFromPlanting: 40, sharePercent: 75 }
		],
		note: 'As always'
	};
	const form = () => typedProgramme(['N', 'P2O5'], 'us', kept);
	it('comes back from its form as it was', () => {
		expect(programmeOf(form(), 'us')).toEqual(kept);
	});
	it('has a name, crops, an approach, numbers, whole swaps and shares that make 100 %', () => {
		const wrong = (change: (one: ReturnType<typeof form>) => void) => {
			const one = form();
			change(one);
			return (programmeOf(one, 'us') as { problem: string }).problem;
		};
		expect(wrong((one) => (one.name = ' '))).toMatch(/a name/);
		expect(wrong((one) => (one.crops = []))).toMatch(/which crops/);
		expect(wrong((one) => (one.rates[1]!.first = ''))).toMatch(/at least one nutrient/);
		expect(wrong((one) => (one.bounds.cecBelow = 'low'))).toMatch(/CEC below “low” must be a number from 0 to 100 meq/);
		expect(wrong((one) => (one.products[0]!.take = ''))).toMatch(/takes its place/);
		expect(wrong((one) => (one.nitrogen[0]!.label = ' '))).toMatch(/a name: it stands in the plan/);
		expect(wrong((one) => (one.nitrogen[0]!.numbers.daysFromPlanting = 'soon'))).toMatch(
			/^Starter: Days from planting “soon” must be a whole number from -250 to 250/
		);
		expect(wrong((one) => (one.nitrogen[0]!.numbers.sharePercent = '20'))).toMatch(/come to 95 %/);
	});
	it('does not name the same method twice', () => {
		const one = form();
		one.rates[1]!.second = 'a/p';
		expect(programmeOf(one, 'us')).toMatchObject({ rates: [{ nutrient: 'P2O5', methods: ['a/p'], bothYears: true }] });
	});
});
