// Rules of orchards, cane fruit and palms; all of them common practice of the trade.
import type { Block } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { carrying, describeRules, nitrogen, station, type RuleCase } from '../rule-cases.test-help';

const fabric: Block = { plantedYear: 2023, floor: 'landscape fabric', water: 'drip' };

const cropOf = (id: string) => library.crops.find((crop) => crop.id === id)!;
const manure = {
	...library.products.find(({ id }) => id === 'empty-bunches')!,
	id: 'barn-manure',
	hazards: ['raw-manure' as const],
	organic: false
};
const withManure = [...library.products, manure];
const manured = (date: string) => ({ ...nitrogen('urea', 30, { date }), product: manure.id });
const wetMay = {
	...station,
	months: station.months.map((month, at) => (at === 4 ? { ...month, rainMm: 300 } : month))
};

const CASES: RuleCase[] = [
	{
		rule: 'fabric-floor',
		name: 'a dry product beside canes under fabric',
		fires: nitrogen('can-27', 20, { placement: 'side band' }),
		severity: 'stop',
		says: 'under landscape fabric',
		nearMiss: nitrogen('uan-32', 20, { placement: 'drip' }),
		change: { cropId: 'blackberry', block: fabric }
	},
	{
		rule: 'fabric-floor',
		name: 'the same band on bare ground is fine',
		fires: nitrogen('uan-32', 20, { placement: 'row-base stream' }),
		severity: 'stop',
		says: 'Give it with the water',
		nearMiss: nitrogen('uan-32', 20, { placement: 'row-base stream' }),
		change: { cropId: 'blackberry', block: fabric },
		missChange: { block: { plantedYear: 2023, floor: 'bare strip' } }
	},
	{
		rule: 'late-fruit-nitrogen',
		name: 'apple, two months after petal fall',
		fires: nitrogen('calcium-nitrate', 20, { date: '2027-06-27' }),
		severity: 'mind',
		says: 'after 26 Jun 2027, six weeks after petal fall, costs apple colour and storage',
		nearMiss: nitrogen('calcium-nitrate', 20, { date: '2027-06-26' }),
		change: { cropId: 'apple' }
	},
	{
		rule: 'late-fruit-nitrogen',
		name: 'calcium on the leaf is not meant',
		fires: nitrogen('calcium-nitrate', 5, { date: '2027-08-01' }),
		severity: 'mind',
		says: 'colour and storage',
		nearMiss: nitrogen('calcium-nitrate', 5, { date: '2027-08-01', placement: 'leaf' }),
		change: { cropId: 'pear' }
	},
	{
		rule: 'last-nitrogen',
		name: 'phosphate that brings nitrogen to young canes in August',
		fires: carrying('P2O5', 'map', 50, { date: '2027-08-25', placement: 'side band' }),
		severity: 'mind',
		says: 'No nitrogen after 31 Jul 2027: canes must ripen before winter.',
		nearMiss: carrying('P2O5', 'triple-superphosphate', 50, { date: '2027-08-25', placement: 'side band' }),
		change: { cropId: 'blackberry', plantAge: 1, plantingDate: '2027-03-15' }
	},
	{
		rule: 'last-nitrogen',
		name: 'canes fed on the first of August, and on the last day of July',
		fires: nitrogen('can-27', 15, { date: '2027-08-01', placement: 'side band' }),
		severity: 'mind',
		says: 'No nitrogen after 31 Jul 2027',
		nearMiss: nitrogen('can-27', 15, { date: '2027-07-31', placement: 'side band' }),
		change: { cropId: 'blackberry', plantAge: 1, plantingDate: '2027-03-15' }
	},
	{
		rule: 'leafless-nitrogen',
		name: 'almond in dormancy',
		fires: nitrogen('uan-32', 40, { date: '2027-01-20', placement: 'drip' }),
		severity: 'mind',
		says: 'Almond stands without leaves on 20 Jan 2027 and takes up next to no nitrogen before about 10 Mar 2027',
		nearMiss: nitrogen('uan-32', 40, { date: '2027-01-28', placement: 'drip' }),
		change: { cropId: 'almond' }
	},
	{
		rule: 'leafless-nitrogen',
		name: 'after leaf fall, but not potash',
		fires: nitrogen('uan-32', 40, { date: '2027-11-16', placement: 'drip' }),
		severity: 'mind',
		says: 'stands without leaves on 16 Nov 2027',
		nearMiss: carrying('K2O', 'potassium-sulfate', 40, { date: '2027-11-16' }),
		change: { cropId: 'almond' }
	},
	{
		rule: 'palm-urea',
		name: 'urea over palms',
		fires: nitrogen('urea', 40, { date: '2027-05-15' }),
		severity: 'mind',
		says: 'never on frond stacks',
		nearMiss: nitrogen('ammonium-sulfate', 40, { date: '2027-05-15' }),
		change: { cropId: 'oil-palm' }
	},
	{
		rule: 'palm-cups',
		name: 'a dose between two cups: 0.9 kg to a palm, where 60 palms stand on an acre',
		fires: { ...nitrogen('ammonium-sulfate', 40, {}), rate: (0.9 / 0.45359237) * 60 },
		severity: 'mind',
		says: '0.90 kg to a palm',
		nearMiss: { ...nitrogen('ammonium-sulfate', 40, {}), rate: (1 / 0.45359237) * 60 },
		change: { cropId: 'oil-palm', plantsPerAc: 60 }
	},
	{
		rule: 'open-canopy',
		name: 'nitrogen by machine on palms in their sixth year',
		fires: nitrogen('ammonium-sulfate', 40, { date: '2027-05-15', machine: 'Spreader' }),
		severity: 'mind',
		says: 'these palms are in year 6',
		nearMiss: nitrogen('ammonium-sulfate', 40, { date: '2027-05-15', machine: 'Spreader' }),
		change: { cropId: 'oil-palm', plantAge: 6 },
		missChange: { plantAge: 7 }
	},
	{
		rule: 'crown-distance',
		name: 'a band two inches from the canes',
		fires: nitrogen('can-27', 30, { placement: 'side band', offsetIn: 2 }),
		severity: 'mind',
		says: 'Calcium ammonium nitrate 27-0-0-6Ca 2 in from the row lies at the crowns',
		nearMiss: nitrogen('can-27', 30, { placement: 'side band', offsetIn: 6 }),
		change: { cropId: 'blackberry' }
	},
	{
		rule: 'crown-distance',
		name: 'beside the seed that trees do not have',
		fires: nitrogen('can-27', 30, { placement: '2x2 band' }),
		severity: 'mind',
		says: '6 in off at the least',
		nearMiss: nitrogen('can-27', 30, { placement: 'side band' }),
		change: { cropId: 'apple' }
	},
	{
		rule: 'heaped-dose',
		name: 'palms fed in a line',
		fires: nitrogen('ammonium-sulfate', 40, { placement: 'side band' }),
		severity: 'stop',
		says: 'spread it evenly over the circle',
		nearMiss: nitrogen('ammonium-sulfate', 40, { placement: 'broadcast' }),
		change: { cropId: 'oil-palm' }
	},
	{
		rule: 'heaped-dose',
		name: 'canes are fed in a band',
		fires: nitrogen('can-27', 40, { placement: 'side band' }),
		severity: 'stop',
		says: 'burns the roots that find it',
		nearMiss: nitrogen('can-27', 40, { placement: 'side band' }),
		change: { cropId: 'avocado' },
		missChange: { crop: cropOf('blackberry') }
	},
	{
		rule: 'organic-sources',
		name: 'potash in an organic block',
		fires: carrying('K2O', 'potash', 60, {}),
		severity: 'stop',
		says: 'The block is organic, and Muriate of potash',
		nearMiss: carrying('K2O', 'potassium-sulfate', 60, {}),
		change: { cropId: 'apple', block: { plantedYear: 2015, organic: true } }
	},
	{
		rule: 'organic-sources',
		name: 'urea has no stand-in, and manure is allowed',
		fires: nitrogen('urea', 30, {}),
		severity: 'stop',
		says: 'not allowed there',
		nearMiss: { ...nitrogen('urea', 30, {}), product: 'barn-manure' },
		change: { cropId: 'apple', block: { plantedYear: 2015, organic: true }, products: withManure },
		noRemedy: true
	},
	{
		rule: 'raw-manure-interval',
		name: 'raw manure 89 days before the first berries',
		fires: manured('2027-03-23'),
		severity: 'stop',
		says: 'less than 90 days before the harvest',
		nearMiss: manured('2027-03-22'),
		change: { cropId: 'blackberry', products: withManure }
	},
	{
		rule: 'raw-manure-interval',
		name: 'while it is picked, but not after',
		fires: manured('2027-08-05'),
		severity: 'stop',
		says: 'Local law goes first',
		nearMiss: manured('2027-08-06'),
		change: { cropId: 'blackberry', products: withManure }
	},
	{
		rule: 'heavy-rain-month',
		name: 'potash of palms in a month of 300 mm',
		fires: carrying('K2O', 'potash', 60, { date: '2027-05-10' }),
		severity: 'mind',
		says: 'no ammonium or urea and no potash then. Drier: Jan, Feb, Mar, Apr, Jun',
		nearMiss: carrying('K2O', 'potash', 60, { date: '2027-06-10' }),
		change: { cropId: 'oil-palm', station: wetMay }
	},
	{
		rule: 'heavy-rain-month',
		name: 'other crops may get their potash then',
		fires: carrying('K2O', 'potash', 60, { date: '2027-05-10' }),
		severity: 'mind',
		says: '300 mm',
		nearMiss: carrying('K2O', 'potash', 60, { date: '2027-05-10' }),
		change: { cropId: 'oil-palm', station: wetMay },
		missChange: { crop: cropOf('corn-grain') }
	}
];

describeRules(CASES);
