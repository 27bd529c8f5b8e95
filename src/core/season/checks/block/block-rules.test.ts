// Rules of orchards, cane fruit and palms; all of them common practice of the trade.
import type { Block } from '../../../schema-types';
import { carrying, describeRules, nitrogen, type RuleCase } from '../rule-cases.test-help';

const fabric: Block = { plantedYear: 2023, floor: 'landscape fabric', water: 'drip' };

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
		fires: nitrogen('calcium-nitrate', 20, { date: '2027-06-25' }),
		severity: 'mind',
		says: 'after 24 Jun 2027, six weeks after petal fall, costs apple colour and storage',
		nearMiss: nitrogen('calcium-nitrate', 20, { date: '2027-06-24' }),
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
		rule: 'open-canopy',
		name: 'nitrogen by machine on palms in their sixth year',
		fires: nitrogen('ammonium-sulfate', 40, { date: '2027-05-15', machine: 'Spreader' }),
		severity: 'mind',
		says: 'these palms are in year 6',
		nearMiss: nitrogen('ammonium-sulfate', 40, { date: '2027-05-15', machine: 'Spreader' }),
		change: { cropId: 'oil-palm', plantAge: 6 },
		missChange: { plantAge: 7 }
	}
];

describeRules(CASES);
