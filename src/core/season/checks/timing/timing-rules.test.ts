import { dateFault } from '../../plan/season-span';
import { library } from '../../../testing.test-help';
import { describe, expect, it } from 'vitest';
import { cornDegreeDays, cornLeaves, usualCornLeaves, usualDayOfLeaves, usualSoilC } from '../../weather/usual-weather';
import { checkSeason } from '../check-season';
import { ammonia, context, describeRules, nitrogen, rains, station, type RuleCase } from '../rule-cases.test-help';

const CASES: RuleCase[] = [
	{
		rule: 'autumn-nitrogen',
		name: 'ammonia into warm soil',
		fires: ammonia('2026-10-01', { additive: 'nitrification inhibitor' }),
		severity: 'stop',
		says: 'wait until it is below 50 F and falling',
		nearMiss: ammonia('2026-11-20', { additive: 'nitrification inhibitor' })
	},
	{
		rule: 'autumn-nitrogen',
		name: 'ammonia in a warm November, as measured in the week before',
		fires: ammonia('2026-11-20', { additive: 'nitrification inhibitor' }),
		severity: 'stop',
		// The week before is at 15 C on average: 59 F.
		says: 'The soil at 4 in is about 59 F on 20 Nov 2026',
		nearMiss: ammonia('2026-11-20', { additive: 'nitrification inhibitor' }),
		change: { weather: rains('2026-11-13', [0, 0, 0, 0, 0, 0, 0], 15) },
		missChange: { weather: rains('2026-11-13', [0, 0, 0, 0, 0, 0, 0], 4) }
	},
	{
		rule: 'autumn-nitrogen',
		name: 'ammonia in early October, unless the week before was measured cold',
		fires: ammonia('2026-10-05', { additive: 'nitrification inhibitor' }),
		severity: 'stop',
		says: 'The soil at 4 in is usually',
		nearMiss: ammonia('2026-10-05', { additive: 'nitrification inhibitor' }),
		missChange: { weather: rains('2026-09-28', [0, 0, 0, 0, 0, 0, 0], 5) }
	},
	{
		rule: 'autumn-nitrogen',
		name: 'ammonia on CEC 6',
		fires: ammonia('2026-11-20', { additive: 'nitrification inhibitor' }),
		severity: 'stop',
		says: 'light ground (CEC 6)',
		nearMiss: ammonia('2027-04-01', { additive: 'nitrification inhibitor' }),
		change: { cec: 6 }
	},
	{
		rule: 'autumn-nitrogen',
		name: 'cold ammonia without an inhibitor',
		fires: ammonia('2026-11-20'),
		severity: 'mind',
		says: 'a nitrification inhibitor is the insurance',
		nearMiss: ammonia('2026-11-20', { additive: 'both inhibitors' })
	},
	{
		rule: 'autumn-nitrogen',
		name: 'urea',
		fires: nitrogen('urea', 120, { date: '2026-11-20' }),
		severity: 'stop',
		says: 'Urea in autumn turns to nitrate before spring',
		nearMiss: nitrogen('urea', 25, { date: '2026-11-20' })
	},
	{
		rule: 'ammonia-near-seed',
		name: '4 in deep two days before planting',
		fires: ammonia('2027-04-29', { depthIn: 4 }),
		severity: 'stop',
		says: 'Ammonia 4 in deep, 2 days before planting',
		nearMiss: ammonia('2027-04-24')
	},
	{
		rule: 'late-side-dress',
		name: 'at V10',
		fires: nitrogen('uan-28', 120, { date: usualDayOfLeaves(station, '2027-05-01', 10), placement: 'injected' }),
		severity: 'mind',
		says: 'corn usually stands at V10',
		nearMiss: nitrogen('uan-28', 120, { date: usualDayOfLeaves(station, '2027-05-01', 7), placement: 'injected' })
	},
	{
		rule: 'shallow-urea-band',
		name: '120 lb in a shallow band',
		fires: nitrogen('uan-28', 240, { placement: 'injected', depthIn: 1.5, date: '2027-06-01' }),
		severity: 'stop',
		says: '120 lb of urea N in a band 1.5 in deep',
		nearMiss: nitrogen('uan-28', 240, { placement: 'injected', depthIn: 3, date: '2027-06-01' })
	},
	{
		rule: 'band-beside-seed',
		name: 'more than the ceiling on sandy ground',
		fires: nitrogen('uan-28', 70, { placement: '2x2 band', date: '2027-05-01' }),
		severity: 'stop',
		says: 'at most 60 on 30 in rows in sandy ground',
		nearMiss: nitrogen('uan-28', 60, { placement: '2x2 band', date: '2027-05-01' }),
		change: { sandy: true }
	},
	{
		rule: 'coated-rescue',
		name: 'coated urea at V10',
		fires: nitrogen('polymer-urea', 30, { date: usualDayOfLeaves(station, '2027-05-01', 10), placement: 'top-dress' }),
		severity: 'stop',
		says: 'gives its nitrogen over weeks',
		nearMiss: nitrogen('polymer-urea', 30, { date: usualDayOfLeaves(station, '2027-05-01', 4), placement: 'top-dress' })
	},
	{
		rule: 'additive-pathway',
		name: 'a urease inhibitor in the soil',
		fires: nitrogen('urea', 60, { placement: 'incorporated', additive: 'urease inhibitor' }),
		severity: 'mind',
		says: 'lies in the soil',
		nearMiss: nitrogen('urea', 60, { placement: 'broadcast', additive: 'urease inhibitor' })
	},
	{
		rule: 'additive-pathway',
		name: 'a urease inhibitor without urea',
		fires: nitrogen('ammonium-sulfate', 40, { additive: 'both inhibitors' }),
		severity: 'mind',
		says: 'holds no urea',
		nearMiss: nitrogen('ammonium-sulfate', 40, { additive: 'nitrification inhibitor' })
	},
	{
		rule: 'additive-pathway',
		name: 'a nitrification inhibitor with nitrate',
		fires: nitrogen('potassium-nitrate', 40, { additive: 'nitrification inhibitor' }),
		severity: 'mind',
		says: 'is nitrate already',
		nearMiss: nitrogen('ammonium-nitrate', 40, { additive: 'nitrification inhibitor' })
	}
];

describeRules(CASES);

it('deep, guarded urea in cold ground is only a caution', () => {
	const banded = nitrogen('urea', 120, {
		date: '2026-11-25',
		placement: 'injected',
		depthIn: 7,
		additive: 'nitrification inhibitor'
	});
	expect(checkSeason([banded], context()).find(({ rule }) => rule === 'autumn-nitrogen')).toMatchObject({
		severity: 'mind'
	});
});

it.each([
	['2027-08-10', 'R3'],
	['2027-10-10', 'R6']
])('corn stands no higher than its stages go: on %s at %s', (date, stage) => {
	const late = nitrogen('uan-28', 120, { date, placement: 'injected' });
	const said = checkSeason([late], context()).find(({ rule }) => rule === 'late-side-dress')?.text;
	expect(said).toContain(`corn usually stands at ${stage}:`);
});

it('ammonia into warm soil is put on a day that is still to come', () => {
	const warm = ammonia('2026-10-05', { additive: 'nitrification inhibitor' });
	const remedies = (today: string) =>
		checkSeason([warm], context({ today })).find(({ rule }) => rule === 'autumn-nitrogen')?.remedies ?? [];
	const days = (today: string) => remedies(today).map(({ passes }) => passes[0]?.date);
	const [usual, spring] = days('2026-10-01');
	expect(usual! > '2026-10-31' && usual! < '2026-11-23').toBe(true);
	expect(days('2026-11-23')).toEqual(['2026-11-23', spring]);
	expect(days(spring!)).toEqual([spring]);
});

it('autumn-sown wheat may have its starter', () => {
	const starter = nitrogen('uan-28', 25, { date: '2026-10-04', placement: 'broadcast' });
	const wheat = context({ cropId: 'winter-wheat' });
	expect(checkSeason([starter], wheat).filter(({ rule }) => rule === 'autumn-nitrogen')).toEqual([]);
});

describe('usual weather', () => {
	it('corn degree days keep from 50 to 86 F (Nielsen, Purdue, from memory)', () => {
		// 59 and 95 F: (59 + 86)/2 - 50 = 22.5
		expect(cornDegreeDays(15, 35)).toBeCloseTo(22.5, 9);
		expect(cornDegreeDays(0, 5)).toBe(0);
	});
	it('118 degree days to emergence, 82 for each leaf to V10, then 50', () => {
		expect(cornLeaves(100)).toBe(0);
		expect(cornLeaves(118 + 82 * 6)).toBeCloseTo(6, 9);
		expect(cornLeaves(118 + 820 + 100)).toBeCloseTo(12, 9);
	});
	it('the station’s soil is colder in November than in October, and its corn is at V6 in June', () => {
		expect(usualSoilC(station, '2026-11-15')).toBeLessThan(usualSoilC(station, '2026-10-15'));
		const day = usualDayOfLeaves(station, '2027-05-01', 6);
		expect(day > '2027-06-01' && day < '2027-06-20').toBe(true);
		expect(usualCornLeaves(station, '2027-05-01', day)).toBeGreaterThanOrEqual(6);
	});
});

it('lime is planned years ahead, whatever its unit; manure by the ton is not', () => {
	const fault = (product: string) => dateFault({ product, date: '2030-04-01' }, library.products, '2027-05-01');
	expect(fault('aglime')).toBeUndefined();
	expect(fault('empty-bunches')).toContain('got "2030-04-01"');
	expect(dateFault({ product: 'aglime', date: '2034-04-01' }, library.products, '2027-05-01')).toBeDefined();
});
