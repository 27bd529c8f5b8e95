// Strengths that leaves stand, and the doubt about feeding P and K through leaves: common practice of the trade.
import { describe, expect, it } from 'vitest';
import { library } from '../../../testing.test-help';
import { sprayStrength } from './spray-strength';
import { checkSeason } from '../check-season';
import { carrying, context, describeRules, nitrogen, station, type RuleCase } from '../rule-cases.test-help';

const spray = (product: string, rate: number, change = {}) => ({
	...nitrogen('urea', 1, { date: '2027-06-01', placement: 'leaf', ...change }),
	product,
	rate
});
const cool = { ...station, months: station.months.map((month) => ({ ...month, maxC: 26 })) };
const apple = { cropId: 'apple', block: { plantedYear: 2015 } };

const CASES: RuleCase[] = [
	{
		// 3.34 lb in 20 gal are 2 %.
		rule: 'leaf-spray-strength',
		name: 'potassium nitrate on corn: 2 %',
		fires: spray('potassium-nitrate', 3.4),
		severity: 'stop',
		says: 'burns leaves of corn',
		nearMiss: spray('potassium-nitrate', 3.3)
	},
	{
		rule: 'leaf-spray-strength',
		name: 'urea on wheat: 6 %',
		fires: spray('urea', 10.2),
		severity: 'stop',
		says: 'above 6 %',
		nearMiss: spray('urea', 10),
		change: { cropId: 'winter-wheat' }
	},
	{
		rule: 'leaf-spray-strength',
		name: 'urea on apple: 2 % of 100 gal, where nothing else is said',
		fires: spray('urea', 17),
		severity: 'stop',
		says: 'in 100 gal/ac of water',
		nearMiss: spray('urea', 16.6),
		change: apple
	},
	{
		rule: 'leaf-spray-strength',
		name: 'two in one tank',
		fires: [spray('urea', 10, { trip: 't' }), spray('potassium-nitrate', 1, { id: 'two', trip: 't' })],
		severity: 'stop',
		says: 'there is more in the tank',
		nearMiss: [spray('urea', 10), spray('potassium-nitrate', 1, { id: 'two' })],
		change: { cropId: 'winter-wheat' }
	},
	{
		rule: 'leaf-spray-heat',
		name: 'a warm month',
		fires: spray('urea', 2, { date: '2027-07-10' }),
		severity: 'note',
		says: 'In Jul it usually warms to',
		nearMiss: spray('urea', 2, { date: '2027-07-10' }),
		missChange: { station: cool },
		noRemedy: true
	},
	{
		// 20 gal of 2 % potassium nitrate: 3.34 lb, 1.5 lb K2O of 60.
		rule: 'leaf-spray-share',
		name: 'potassium through the leaf',
		fires: spray('potassium-nitrate', 3.338),
		severity: 'note',
		says: '% of what is chosen',
		nearMiss: carrying('K2O', 'potassium-nitrate', 15, { date: '2027-06-01', placement: 'leaf' }),
		change: { chosen: { K2O: 60 } },
		noRemedy: true
	}
];

describeRules(CASES);

describe('a leaf spray', () => {
	const strengthOf = (waterGalAc: number | undefined) =>
		sprayStrength(
			spray('urea', 3.338, waterGalAc ? { waterGalAc } : {}),
			library.products.find(({ id }) => id === 'urea')!,
			{ perennial: false }
		).value;
	it('of 3.338 lb in 20 gal is 2 %, in 40 gal 1 %', () => {
		expect(strengthOf(undefined)).toBeCloseTo(2, 3);
		expect(strengthOf(40)).toBeCloseTo(1, 3);
	});
	it('shares the water of its trip: the most that one of them says', () => {
		const alone = spray('urea', 3.338);
		const beside = spray('potassium-nitrate', 1, { id: 'two', waterGalAc: 40 });
		const urea = library.products.find(({ id }) => id === 'urea')!;
		expect(sprayStrength(alone, urea, { perennial: false }, [alone, beside]).value).toBeCloseTo(1, 3);
	});
	it('is offered more water while the sprayer can put it on, else less of the product', () => {
		const remediesOf = (rate: number) =>
			checkSeason([spray('potassium-nitrate', rate)], context())
				.filter(({ rule }) => rule === 'leaf-spray-strength')
				.flatMap(({ remedies }) => remedies.map(({ label }) => label));
		expect(remediesOf(5)).toEqual(['Spray it in 30 gal/ac of water', 'Cut it to what leaves stand']);
		expect(remediesOf(10)).toEqual(['Cut it to what leaves stand']);
	});
});
