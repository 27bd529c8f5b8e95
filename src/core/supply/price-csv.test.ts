import { describe, expect, it } from 'vitest';
import { InputError } from '../check/problem';
import { priceRows, readPriceCsv } from './price-csv';

const TODAY = '2026-11-27';
const known = (item: string) => (item === 'product:urea' || item === 'nutrient:N' ? undefined : 'is not known');
const read = (text: string) => readPriceCsv(text, TODAY, known);

function faultsOf(text: string): [string, string][] {
	try {
		read(text);
	} catch (error) {
		if (error instanceof InputError) return error.problems.map(({ path, message }) => [path, message]);
		throw error;
	}
	return [];
}

describe('prices as CSV', () => {
	it('come back as they went out, each with its day', () => {
		const prices = [
			{ item: 'product:urea', since: '2026-11-01', amount: 540.5 },
			{ item: 'nutrient:N', since: '2025-01-10', amount: 0.62 }
		];
		const rows = priceRows(prices, (item) => ({ name: item.toUpperCase(), unit: '$' }));
		expect(rows[1]).toEqual(['product:urea', 'PRODUCT:UREA', '540.5', '$', '2026-11-01']);
		expect(read(rows.map((row) => row.join(',')).join('\n'))).toEqual(prices);
	});

	it('hold from today where no day is given; rows without a price are passed over', () => {
		expect(read('\uFEFFPrice,Item\n 500 ,product:urea\n,nutrient:N\n')).toEqual([
			{ item: 'product:urea', since: TODAY, amount: 500 }
		]);
	});

	it('are refused whole, with every line that is wrong', () => {
		expect(
			faultsOf(
				'item,price,since\nproduct:urea,cheap,\nproduct:gold,5,\nnutrient:N,-1,\nnutrient:N,100001,\nnutrient:N,1,2026-02-30\nnutrient:N,1,2026-11-28\nnutrient:N,0,2026-11-27'
			)
		).toEqual([
			['line 2', 'the price “cheap” must be a number from 0 to 100000'],
			['line 3', '“product:gold” is not known'],
			['line 4', 'the price “-1” must be a number from 0 to 100000'],
			['line 5', 'the price “100001” must be a number from 0 to 100000'],
			['line 6', 'the day “2026-02-30” must be written as 2027-05-01'],
			['line 7', '28 Nov 2026 is still to come; a price holds from a day that was']
		]);
		expect(faultsOf('name,price\nurea,5')).toEqual([
			['line 1', 'has no column “item”; it needs item, name, price, unit, since']
		]);
		expect(faultsOf('item,price\nproduct:urea,')).toEqual([['file', 'holds no price']]);
	});
});
