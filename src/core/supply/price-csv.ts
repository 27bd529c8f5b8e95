import { csvLines } from '../check/csv-lines';
import { InputError, type Problem } from '../check/problem';
import { isDay, longDate } from '../units/day-text';
import { plainNumber } from '../units/display';

/** A price as it was entered: of `grain:<crop>`, `nutrient:<nutrient>`, `product:<product>` and so on. */
export interface DatedPrice {
	item: string;
	/** YYYY-MM-DD, the day from which it holds. */
	since: string;
	amount: number;
}

/** The whole catalogue with own products many times over. */
const MOST_LINES = 20_000;
const COLUMNS = ['item', 'name', 'price', 'unit', 'since'] as const;
/** No price of the trade is above this, whatever it is for: a slip of the decimal point. Judgement. */
const MOST = 100_000;

/** Prices as rows of text, header first. */
export function priceRows(
	prices: readonly DatedPrice[],
	wordsOf: (item: string) => { name: string; unit: string }
): string[][] {
	return [
		[...COLUMNS],
		...prices.map(({ item, amount, since }) => {
			const { name, unit } = wordsOf(item);
			return [item, name, plainNumber(amount, ''), unit, since];
		})
	];
}

/**
 * Prices of a CSV file with the columns item and price, and since where they do not hold from today on. Rows without a
 * price are passed over, so that a list sent out may come back half filled.
 * @param faultOf what is wrong with an item ("is no product"); undefined where it is known
 * @throws InputError naming line, value and what would be right; a file with a fault gives nothing
 */
export function readPriceCsv(text: string, today: string, faultOf: (item: string) => string | undefined): DatedPrice[] {
	const [{ cells: heads } = { cells: [] }, ...rows] = csvLines(text, MOST_LINES);
	const at = (name: (typeof COLUMNS)[number]) => heads.findIndex((head) => head.toLowerCase() === name);
	const missing = (['item', 'price'] as const).find((name) => at(name) < 0);
	if (missing) {
		throw new InputError([{ path: 'line 1', message: `has no column “${missing}”; it needs ${COLUMNS.join(', ')}` }]);
	}
	const itemFault = (item: string) => {
		const fault = faultOf(item);
		return fault === undefined ? undefined : `“${item}” ${fault}`;
	};
	const problems: Problem[] = [];
	const prices = rows.flatMap(({ line, cells }): DatedPrice[] => {
		const [item = '', price = '', since = ''] = [cells[at('item')], cells[at('price')], cells[at('since')]];
		if (price === '') return [];
		const amount = Number(price);
		const fault =
			itemFault(item) ??
			(amount >= 0 && amount <= MOST ? undefined : `the price “${price}” must be a number from 0 to ${MOST}`) ??
			(since === '' || isDay(since) ? undefined : `the day “${since}” must be written as 2027-05-01`) ??
			(since > today ? `${longDate(since)} is still to come; a price holds from a day that was` : undefined);
		if (fault !== undefined) problems.push({ path: `line ${line}`, message: fault });
		return [{ item, since: since || today, amount }];
	});
	if (problems.length > 0) throw new InputError(problems);
	if (prices.length === 0) throw new InputError([{ path: 'file', message: 'holds no price' }]);
	return prices;
}
