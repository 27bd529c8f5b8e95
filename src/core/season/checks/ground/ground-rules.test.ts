import { expect, it } from 'vitest';
import type { Pass } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import type { PlacedParameters } from '../../../rates/nitrogen/placed-factor';
import { seedRowLimit } from '../../plan/pass/seed-row-limit';
import { placedSchedule } from '../../propose/placed-schedule';
import { proposeProgramme } from '../../propose/propose-programme';
import { checkSeason } from '../check-season';
import { ammonia, carrying, context, describeRules, nitrogen, rains, type RuleCase } from '../rule-cases.test-help';

const placedRule = library.packs.rules.find(({ kind }) => kind.kind === 'placed-factor')!;
const placed = {
	title: placedRule.rule.title,
	parameters: placedRule.parametersFor('corn-grain') as PlacedParameters
};
const schedule = library.schedules.find(({ crop }) => crop === 'corn-grain')!;
const asPlaced = proposeProgramme(
	context({ schedule: placedSchedule(schedule, placed.parameters)!, chosen: { N: 105 }, placed })
).passes;
const seed = (change: Partial<Pass> = {}): Partial<Pass> => ({ placement: 'seed row', date: '2027-05-01', ...change });
const dryDays = Array<number>(10).fill(0);
const tenDry = rains('2027-06-05', dryDays, 24);

const CASES: RuleCase[] = [
	{
		rule: 'surface-urea',
		name: 'ten dry days in sight',
		fires: nitrogen('urea', 80, { date: '2027-06-05' }),
		severity: 'mind',
		says: 'Less than 0.5 in of rain in 10 days from 5 Jun 2027 by your outlook, and 80 lb of this is urea on the surface',
		nearMiss: nitrogen('urea', 80, { date: '2027-06-05', placement: 'incorporated' }),
		change: { weather: tenDry }
	},
	{
		rule: 'surface-urea',
		name: 'rain in a week',
		fires: nitrogen('uan-28', 80, { date: '2027-06-05' }),
		severity: 'mind',
		says: 'in the first 7 days from 5 Jun 2027 by your outlook, and 40 lb of this is urea',
		nearMiss: nitrogen('uan-28', 80, { date: '2027-06-05' }),
		change: { weather: rains('2027-06-05', [0, 0, 0, 0, 0, 0, 0, 14, 0, 0], 24) },
		missChange: { weather: rains('2027-06-05', [0, 6, 7, 0, 0, 0, 0, 0, 0, 0], 24) }
	},
	{
		rule: 'surface-urea',
		name: 'days that are not known yet, in a dry season',
		fires: nitrogen('urea', 80, { date: '2027-06-05', placement: 'top-dress' }),
		severity: 'note',
		says: 'years of 10 less than 0.5 in falls within 10 days',
		nearMiss: nitrogen('urea', 80, { date: '2027-06-05', placement: 'top-dress' }),
		change: {
			station: {
				...library.stations[0]!,
				months: library.stations[0]!.months.map((month) => ({ ...month, rainMm: 30, wetDays: 4 }))
			}
		},
		missChange: { station: library.stations[0]! }
	},
	{
		rule: 'ammonia-ground',
		name: 'dry clods',
		fires: ammonia('2026-11-20', { ground: 'dry and cloddy', additive: 'nitrification inhibitor' }),
		severity: 'stop',
		says: 'escapes through the slot',
		nearMiss: ammonia('2026-11-20', { ground: 'moist', additive: 'nitrification inhibitor' })
	},
	{
		rule: 'ammonia-ground',
		name: 'too wet',
		fires: ammonia('2027-04-15', { ground: 'too wet' }),
		severity: 'stop',
		says: 'a smeared slot that stays open',
		nearMiss: ammonia('2027-04-15')
	},
	{
		rule: 'ammonia-ground',
		name: 'two weeks without rain before it',
		fires: ammonia('2027-04-15'),
		severity: 'mind',
		says: '0.1 in of rain in the 14 days before 15 Apr 2027 by your outlook',
		nearMiss: ammonia('2027-04-15'),
		change: { weather: rains('2027-04-01', [...Array<number>(13).fill(0), 3]) },
		missChange: { weather: rains('2027-04-01', [...Array<number>(13).fill(0), 8]) }
	},
	{
		rule: 'seed-row',
		name: 'urea',
		fires: nitrogen('urea', 5, seed()),
		severity: 'stop',
		says: 'holds urea, which turns to ammonia with the seed: none at all',
		nearMiss: nitrogen('urea', 5, { placement: 'side band', date: '2027-05-01' })
	},
	{
		rule: 'seed-row',
		name: 'thiosulfate',
		fires: nitrogen('ammonium-thiosulfate', 3, seed()),
		severity: 'stop',
		says: 'is a thiosulfate and burns seed',
		nearMiss: nitrogen('ammonium-thiosulfate', 3, { placement: '2x2 band', date: '2027-05-01' })
	},
	{
		rule: 'seed-row',
		name: 'boron',
		fires: carrying('B', 'borate', 0.5, seed()),
		severity: 'stop',
		says: 'holds boron, which poisons seed',
		nearMiss: carrying('B', 'borate', 0.5, { date: '2027-05-01' })
	},
	{
		rule: 'seed-row',
		name: 'more salt than corn stands on 30 in rows',
		fires: nitrogen('app-10-34-0', 11, seed()),
		severity: 'stop',
		says: '11 lb of N and K2O with the seed; corn stands 10 on 30 in rows',
		nearMiss: nitrogen('app-10-34-0', 10, seed())
	},
	{
		rule: 'seed-row',
		name: 'more than sandy ground stands',
		fires: nitrogen('app-10-34-0', 6, seed()),
		severity: 'stop',
		says: 'corn stands 5 on 30 in rows in sandy ground',
		nearMiss: nitrogen('app-10-34-0', 5, seed()),
		change: { sandy: true }
	},
	{
		rule: 'seed-row',
		name: 'two products of one day add up',
		fires: [nitrogen('app-10-34-0', 6, seed()), carrying('K2O', 'potash', 5, seed({ id: 'two' }))],
		severity: 'stop',
		says: '11 lb of N and K2O with the seed',
		nearMiss: [nitrogen('app-10-34-0', 6, seed()), carrying('K2O', 'potash', 4, seed({ id: 'two' }))]
	},
	{
		rule: 'seed-row',
		name: 'potash with soybean',
		fires: carrying('K2O', 'potash', 5, seed()),
		severity: 'stop',
		says: 'soybean stands none there (on your own trial only)',
		nearMiss: carrying('K2O', 'potash', 5, { placement: 'broadcast', date: '2027-05-01' }),
		change: { cropId: 'soybean' }
	},
	{
		rule: 'seed-row',
		name: 'MAP with soybean on 7.5 in rows, thinning from 100 lb of product',
		fires: { ...nitrogen('map', 1, seed()), rate: 100 },
		severity: 'stop',
		says: '50 lb of product do no harm, stands thin from about 100',
		nearMiss: { ...nitrogen('map', 1, seed()), rate: 50 },
		change: { cropId: 'soybean', rowSpacingIn: 7.5 }
	},
	{
		rule: 'seed-row',
		name: 'between the two it is a question',
		fires: { ...nitrogen('map', 1, seed()), rate: 75 },
		severity: 'mind',
		says: 'stands thin from about 100',
		nearMiss: { ...nitrogen('map', 1, seed()), rate: 49 },
		change: { cropId: 'soybean', rowSpacingIn: 7.5 }
	},
	{
		rule: 'seed-row',
		name: 'on 30 in rows the first 50 lb thin, and 200 lb cost half of the yield',
		fires: { ...nitrogen('map', 1, seed()), rate: 50 },
		severity: 'stop',
		says: 'stands thin from about 25, and from about 200 half of the yield is at stake',
		nearMiss: { ...nitrogen('map', 1, seed()), rate: 12 },
		change: { cropId: 'soybean', rowSpacingIn: 30 }
	},
	{
		// Prairie guidelines, from memory: 25 lb P2O5 of ammonium phosphate with canola, 15 with flax, 50 with wheat.
		rule: 'seed-row',
		name: 'phosphate with canola, whatever carries it',
		fires: carrying('P2O5', 'triple-superphosphate', 36.8, seed()),
		severity: 'stop',
		says: '36.8 lb of P2O5 with the seed; canola stands 25 on 7.5 in rows',
		nearMiss: carrying('P2O5', 'map', 20.8, seed()),
		change: { cropId: 'canola', rowSpacingIn: 7.5 }
	},
	{
		rule: 'seed-row',
		name: 'phosphate with flax',
		fires: carrying('P2O5', 'map', 20, seed()),
		severity: 'stop',
		says: 'flax stands 15',
		nearMiss: carrying('P2O5', 'map', 15, seed()),
		change: { cropId: 'flax', rowSpacingIn: 7.5 }
	},
	{
		rule: 'seed-row',
		name: 'coated urea with wheat: a question of moisture',
		fires: nitrogen('polymer-urea', 30, seed()),
		severity: 'mind',
		says: 'in moist soil about 37.5 lb do no harm, in dry soil no more than of bare urea',
		nearMiss: nitrogen('polymer-urea', 30, { placement: 'side band', date: '2027-05-01' }),
		change: { cropId: 'spring-wheat', rowSpacingIn: 7.5 }
	},
	{
		rule: 'seed-row',
		name: 'too much of treated urea with wheat',
		fires: nitrogen('urea', 45, seed({ additive: 'urease inhibitor' })),
		severity: 'stop',
		says: 'as urea with a urease inhibitor with the seed',
		nearMiss: nitrogen('urea', 45, { placement: 'broadcast', date: '2027-04-20' }),
		change: { cropId: 'spring-wheat', rowSpacingIn: 7.5 }
	},
	{
		rule: 'placed-factor',
		name: 'the low factor on one broadcast pass',
		fires: nitrogen('urea', 105, { placement: 'broadcast', date: '2027-04-20' }),
		severity: 'stop',
		says: 'holds for a starter and the rest at the row base only',
		nearMiss: asPlaced,
		change: { placed, yieldGoal: 150 }
	},
	{
		rule: 'all-up-front',
		name: 'on light ground',
		fires: nitrogen('urea', 150, { placement: 'incorporated', date: '2027-04-24' }),
		severity: 'mind',
		says: '150 of 150 lb N go on before the crop needs them, on light ground (CEC 6)',
		nearMiss: nitrogen('urea', 150, { placement: 'incorporated', date: '2027-04-24' }),
		change: { cec: 6 },
		missChange: { cec: 14 }
	},
	{
		rule: 'all-up-front',
		name: 'on wet ground',
		fires: nitrogen('urea', 150, { placement: 'incorporated', date: '2027-04-24' }),
		severity: 'mind',
		says: 'wet ground (drainage poor)',
		nearMiss: [
			nitrogen('urea', 60, { placement: 'incorporated', date: '2027-04-24' }),
			nitrogen('urea', 90, { id: 'two', placement: 'top-dress', date: '2027-06-08' })
		],
		change: { drainage: 'poor' }
	},
	{
		rule: 'wheat-ammonia',
		name: 'after Feekes 5',
		fires: ammonia('2027-05-10', { placement: 'coulter mid-row' }),
		severity: 'stop',
		says: 'ammonia by coulter only to Feekes 5',
		nearMiss: nitrogen('uan-28', 60, { placement: 'coulter mid-row', date: '2027-05-10' }),
		change: { cropId: 'winter-wheat' }
	},
	{
		rule: 'wheat-sulfur',
		name: 'a month after the first nitrogen',
		fires: [
			nitrogen('urea', 60, { date: '2027-03-10', placement: 'top-dress' }),
			nitrogen('ammonium-sulfate', 12, { id: 'two', date: '2027-04-10', placement: 'top-dress' })
		],
		severity: 'mind',
		says: 'come 31 days after the first nitrogen of spring',
		nearMiss: [
			nitrogen('urea', 60, { date: '2027-03-10', placement: 'top-dress' }),
			nitrogen('ammonium-sulfate', 12, { id: 'two', date: '2027-03-12', placement: 'top-dress' })
		],
		change: { cropId: 'winter-wheat' }
	},
	{
		rule: 'sandy-potassium',
		name: 'in autumn',
		fires: carrying('K2O', 'potash', 80, { date: '2026-11-10' }),
		severity: 'mind',
		says: '80 lb K2O in autumn on sandy ground',
		nearMiss: carrying('K2O', 'potash', 80, { date: '2026-11-10' }),
		change: { sandy: true },
		missChange: { sandy: false }
	},
	{
		rule: 'frozen-ground',
		name: 'usually frozen',
		fires: carrying('P2O5', 'map', 60, { date: '2027-01-20' }),
		severity: 'stop',
		says: 'The ground is usually frozen on 20 Jan 2027',
		nearMiss: carrying('P2O5', 'map', 60, { date: '2027-03-25' })
	},
	{
		rule: 'frozen-ground',
		name: 'soaked as measured',
		fires: carrying('P2O5', 'map', 60, { date: '2027-04-10' }),
		severity: 'stop',
		says: '3.1 in of rain in the 5 days before 10 Apr 2027',
		nearMiss: carrying('P2O5', 'map', 60, { date: '2027-04-10', placement: 'incorporated' }),
		change: { weather: rains('2027-04-05', [40, 20, 20, 0, 0]) }
	},
	{
		rule: 'slope-phosphorus',
		name: 'on 6 percent',
		fires: carrying('P2O5', 'map', 60, { date: '2027-04-10' }),
		severity: 'mind',
		says: 'Phosphate on top of a 6 % slope (from 6 on)',
		nearMiss: carrying('P2O5', 'map', 60, { date: '2027-04-10' }),
		change: { slopePercent: 6 },
		missChange: { slopePercent: 5.9 }
	},
	{
		rule: 'lime-lead',
		name: 'a month before planting',
		fires: { ...ammonia('2027-04-01'), product: 'aglime', rate: 2, unit: 'short ton/ac', placement: 'incorporated' },
		severity: 'mind',
		says: 'Lime 30 days before planting: it needs three to six months',
		nearMiss: { ...ammonia('2027-01-31'), product: 'aglime', rate: 2, unit: 'short ton/ac', placement: 'incorporated' }
	},
	{
		rule: 'ripening',
		name: 'while blackberries ripen',
		fires: nitrogen('calcium-nitrate', 10, { date: '2027-07-01', placement: 'drip' }),
		severity: 'stop',
		says: 'ripens from about 20 Jun 2027 to 5 Aug 2027',
		nearMiss: nitrogen('calcium-nitrate', 10, { date: '2027-08-10', placement: 'drip' }),
		change: { cropId: 'blackberry' }
	},
	{
		rule: 'ripening',
		name: 'in its second year, not in the year of planting, when nothing ripens',
		fires: nitrogen('calcium-nitrate', 10, { date: '2027-07-01', placement: 'drip' }),
		severity: 'stop',
		says: 'ripens from about 20 Jun 2027',
		nearMiss: nitrogen('calcium-nitrate', 10, { date: '2027-07-01', placement: 'drip' }),
		change: { cropId: 'blackberry', plantAge: 2 },
		missChange: { plantAge: 1 }
	},
	{
		rule: 'heavy-rain-month',
		name: 'urea in the monsoon',
		fires: nitrogen('urea', 40, { date: '2027-06-10' }),
		severity: 'mind',
		says: 'brings 320 mm of rain in a usual year',
		nearMiss: nitrogen('urea', 40, { date: '2027-07-05' }),
		change: {
			station: {
				...library.stations[0]!,
				months: library.stations[0]!.months.map((month, at) => (at === 5 ? { ...month, rainMm: 320 } : month))
			}
		}
	},
	{
		rule: 'no-go',
		name: 'the adviser’s own winter',
		fires: carrying('P2O5', 'map', 60, { date: '2027-02-20' }),
		severity: 'stop',
		says: 'no phosphate from 12-15 to 03-01. The county says so.',
		nearMiss: carrying('K2O', 'potash', 60, { date: '2027-02-20' }),
		change: {
			houseRules: { noGo: [{ from: '12-15', to: '03-01', what: 'phosphate', reason: 'The county says so.' }] }
		}
	},
	{
		rule: 'no-go',
		name: 'the adviser’s own days for one crop',
		fires: nitrogen('urea', 40, { date: '2027-06-20' }),
		severity: 'stop',
		says: 'Canes must harden.',
		nearMiss: nitrogen('urea', 40, { date: '2027-06-20' }),
		change: {
			cropId: 'soybean',
			houseRules: {
				noGo: [{ from: '06-01', to: '12-31', what: 'nitrogen', reason: 'Canes must harden.', crop: 'soybean' }]
			}
		},
		missChange: {
			houseRules: {
				noGo: [{ from: '06-01', to: '12-31', what: 'nitrogen', reason: 'Canes must harden.', crop: 'blackberry' }]
			}
		}
	},
	{
		rule: 'no-go',
		name: 'the adviser’s own days on light ground',
		fires: nitrogen('urea', 40, { date: '2027-04-20' }),
		severity: 'stop',
		says: 'It leaches.',
		nearMiss: nitrogen('urea', 40, { date: '2027-04-20' }),
		change: {
			cec: 6,
			houseRules: { noGo: [{ from: '01-01', to: '04-30', what: 'nitrogen', reason: 'It leaches.', ground: 'light' }] }
		},
		missChange: { cec: 16 }
	},
	{
		rule: 'spring-knife',
		name: 'a week before spring wheat',
		fires: ammonia('2027-04-08'),
		severity: 'mind',
		says: 'dry and open a seedbed that has one chance',
		nearMiss: ammonia('2027-03-20'),
		change: { cropId: 'spring-wheat', plantingDate: '2027-04-15' }
	},
	{
		rule: 'out-of-reach',
		name: 'a coulter between 30 in rows at V3',
		fires: nitrogen('uan-28', 120, { date: '2027-05-25', placement: 'coulter mid-row' }),
		severity: 'note',
		says: '15 in from the row: nitrogen moves 3 to 6 in sideways, and roots get there about 17 Jun 2027',
		nearMiss: nitrogen('uan-28', 120, { date: '2027-05-25', placement: 'coulter mid-row', offsetIn: 4 })
	},
	{
		rule: 'waiting-ammonium',
		name: 'early urea on poor ground',
		fires: nitrogen('urea', 100, { date: '2027-04-20', placement: 'incorporated' }),
		severity: 'note',
		says: 'of ammonium and urea N wait about',
		nearMiss: nitrogen('urea', 100, { date: '2027-06-05', placement: 'top-dress' }),
		change: { drainage: 'poor' }
	},
	{
		rule: 'setbacks',
		name: 'are told once for the plan',
		fires: nitrogen('urea', 100, {}),
		severity: 'note',
		says: 'Keep 100 ft from the well, 35 ft from tile inlets',
		nearMiss: nitrogen('urea', 100, {}),
		change: {
			setbacks: [
				{ from: 'the well', feet: 100 },
				{ from: 'tile inlets', feet: 35 }
			]
		},
		missChange: { setbacks: [] },
		noRemedy: true
	},
	{
		rule: 'band-beside-seed',
		name: 'over the adviser’s own ceiling, in narrower rows',
		fires: nitrogen('uan-28', 62, { placement: '2x2 band', date: '2027-05-01' }),
		severity: 'stop',
		says: 'at most 60 on 20 in rows (your own ceiling)',
		nearMiss: nitrogen('uan-28', 60, { placement: '2x2 band', date: '2027-05-01' }),
		change: { houseRules: { noGo: [], besideSeed: { lbAc: 40, sandyLbAc: 30 } }, rowSpacingIn: 20 }
	},
	{
		rule: 'ammonia-near-seed',
		name: 'near, but on the row',
		fires: ammonia('2027-04-29', { depthIn: 4 }),
		severity: 'stop',
		says: '2 days before planting',
		nearMiss: ammonia('2027-04-29', { depthIn: 4, offsetIn: 6 })
	},
	{
		rule: 'additive-pathway',
		name: 'a urease inhibitor before rain',
		fires: nitrogen('urea', 60, { date: '2027-06-05', additive: 'urease inhibitor' }),
		severity: 'mind',
		says: 'washes the urea in: a urease inhibitor guards nothing',
		nearMiss: nitrogen('urea', 60, { date: '2027-06-05', additive: 'urease inhibitor' }),
		change: { weather: rains('2027-06-05', [2, 14, 0, 5, 5, 5, 5, 5, 5, 5]) },
		missChange: { weather: tenDry }
	},
	{
		rule: 'additive-pathway',
		name: 'a nitrification inhibitor when uptake is steepest',
		fires: nitrogen('uan-28', 60, {
			date: '2027-06-28',
			placement: 'coulter mid-row',
			additive: 'nitrification inhibitor'
		}),
		severity: 'mind',
		says: 'takes nitrogen as fast as it turns',
		nearMiss: nitrogen('uan-28', 60, {
			date: '2027-05-25',
			placement: 'coulter mid-row',
			additive: 'nitrification inhibitor'
		})
	},
	{
		rule: 'band-beside-seed',
		name: 'what is side-banded adds to the 2x2 band',
		fires: [
			nitrogen('uan-28', 60, { placement: '2x2 band', date: '2027-05-01' }),
			carrying('K2O', 'potash', 60, { id: 'two', placement: 'side band', date: '2027-05-01' })
		],
		severity: 'stop',
		says: '120 lb of N and K2O beside the seed; at most 80',
		nearMiss: [
			nitrogen('uan-28', 60, { placement: '2x2 band', date: '2027-05-01' }),
			carrying('K2O', 'potash', 20, { id: 'two', placement: 'side band', date: '2027-05-01' })
		]
	},
	{
		rule: 'band-beside-seed',
		name: 'urea has a lower ceiling of its own',
		fires: nitrogen('urea', 46, { placement: '2x2 band', date: '2027-05-01' }),
		severity: 'stop',
		says: '46 lb of urea N, which turns to ammonia, beside the seed; at most 40',
		nearMiss: nitrogen('urea', 40, { placement: '2x2 band', date: '2027-05-01' })
	},
	{
		rule: 'band-beside-seed',
		name: 'urea injected 2 in off the seed',
		fires: nitrogen('urea', 92, { placement: 'injected', depthIn: 3, offsetIn: 2, date: '2027-05-01' }),
		severity: 'stop',
		says: '92 lb of N and K2O beside the seed',
		nearMiss: nitrogen('urea', 92, { placement: 'injected', depthIn: 5, date: '2027-05-01' })
	},
	{
		rule: 'shallow-urea-band',
		name: 'the risk rises from about 50 lb',
		fires: nitrogen('uan-28', 120, { placement: 'injected', depthIn: 1.5, date: '2027-06-01' }),
		severity: 'mind',
		says: '60 lb of urea N in a band 1.5 in deep: the risk',
		nearMiss: nitrogen('uan-28', 90, { placement: 'injected', depthIn: 1.5, date: '2027-06-01' })
	},
	{
		rule: 'strip-band-depth',
		name: '3 in under the row',
		fires: carrying('P2O5', 'map', 40, { placement: 'deep strip band', depthIn: 3, date: '2026-11-10' }),
		severity: 'mind',
		says: '3 in deep under the row lies beside the seed',
		nearMiss: carrying('P2O5', 'map', 40, { placement: 'deep strip band', date: '2026-11-10' })
	},
	{
		rule: 'strip-band-depth',
		name: '10 in deep',
		fires: carrying('P2O5', 'map', 40, { placement: 'deep strip band', depthIn: 10, date: '2026-11-10' }),
		severity: 'note',
		says: 'deeper is not better',
		nearMiss: carrying('P2O5', 'map', 40, { placement: 'deep strip band', depthIn: 8, date: '2026-11-10' })
	},
	{
		rule: 'ammonia-side-dress',
		name: 'too shallow',
		fires: ammonia('2027-06-08', { depthIn: 3 }),
		severity: 'stop',
		says: '3 in deep, where the slot does not hold it',
		nearMiss: ammonia('2027-06-08', { depthIn: 6 })
	},
	{
		rule: 'ammonia-side-dress',
		name: 'too near the row',
		fires: ammonia('2027-06-08', { offsetIn: 3 }),
		severity: 'stop',
		says: '3 in from the row, where it burns roots',
		nearMiss: ammonia('2027-06-08', { offsetIn: 6 })
	},
	{
		rule: 'dormant-crop',
		name: 'urea on wheat in November',
		fires: nitrogen('urea', 60, { date: '2026-11-20', placement: 'top-dress' }),
		severity: 'stop',
		says: '60 lb N on dormant winter wheat on 20 Nov 2026',
		nearMiss: nitrogen('urea', 60, { date: '2027-03-05', placement: 'top-dress' }),
		change: { cropId: 'winter-wheat' }
	},
	{
		rule: 'late-phosphate-potash',
		name: 'on top of soybean in June',
		fires: carrying('K2O', 'potash', 60, { date: '2027-06-25' }),
		severity: 'mind',
		says: '60 lb K2O on top of standing soybean on 25 Jun 2027: they need moisture and three to four weeks to reach the roots, and should be in before V7',
		nearMiss: carrying('K2O', 'potash', 60, { date: '2027-05-12' }),
		change: { cropId: 'soybean', plantingDate: '2027-05-10' }
	},
	{
		rule: 'surface-urea',
		name: 'the outlook is read from the day of the pass on, and the usual weather beyond it',
		fires: nitrogen('urea', 80, { date: '2027-06-09' }),
		severity: 'mind',
		says: 'Less than 0.5 in of rain in 6 days from 9 Jun 2027 by your outlook; for the 4 days after them the usual weather',
		nearMiss: nitrogen('urea', 80, { date: '2027-06-09' }),
		change: { weather: tenDry },
		missChange: { weather: rains('2027-06-05', [0, 0, 0, 0, 8, 8, 0, 0, 0, 0], 24) }
	},
	{
		rule: 'side-dress-method',
		name: 'dry ground and no rain in sight',
		fires: nitrogen('uan-28', 80, { date: '2027-06-05', placement: 'row-base stream' }),
		severity: 'note',
		says: 'inject it with knife or coulter',
		nearMiss: nitrogen('uan-28', 80, { date: '2027-06-25', placement: 'row-base stream' }),
		change: { weather: rains('2027-05-29', Array<number>(17).fill(0)) }
	},
	{
		rule: 'side-dress-method',
		name: 'dry ground, rain in sight',
		fires: nitrogen('uan-28', 80, { date: '2027-06-05', placement: 'injected' }),
		severity: 'note',
		says: 'a drop-nozzle band at the row base',
		nearMiss: nitrogen('uan-28', 30, { date: '2027-06-05', placement: 'injected' }),
		change: { weather: rains('2027-05-29', [...Array<number>(9).fill(0), 15, ...Array<number>(7).fill(0)]) }
	},
	{
		rule: 'wheat-sulfur',
		name: 'manure does not replace the first 10 lb',
		fires: nitrogen('urea', 60, { date: '2027-03-10', placement: 'top-dress' }),
		severity: 'mind',
		says: 'Manure does not replace the first 10 lb S of wheat',
		nearMiss: nitrogen('urea', 60, { date: '2027-03-10', placement: 'top-dress' }),
		change: { cropId: 'winter-wheat', manured: true },
		missChange: { manured: false }
	},
	{
		rule: 'after-harvest',
		name: 'urea after the corn is off',
		fires: nitrogen('urea', 60, { date: '2027-10-20' }),
		severity: 'mind',
		says: 'it feeds the next crop',
		nearMiss: nitrogen('urea', 60, { date: '2027-09-10' }),
		noRemedy: true
	},
	{
		rule: 'autumn-nitrogen',
		name: 'on light ground also on wheat that was just sown',
		fires: nitrogen('ammonium-sulfate', 60, { date: '2026-10-10' }),
		severity: 'stop',
		says: '60 lb N in autumn on light ground',
		nearMiss: nitrogen('ammonium-sulfate', 35, { date: '2026-10-10' }),
		change: { cropId: 'winter-wheat', cec: 4 },
		missChange: { cec: 14 }
	}
];

describeRules(CASES);

it('on wet ground the method matters less than being in by V8', () => {
	const uan = nitrogen('uan-28', 80, { date: '2027-06-05', placement: 'row-base stream' });
	const wet = context({ weather: rains('2027-05-29', [...Array<number>(5).fill(8), ...Array<number>(12).fill(0)]) });
	const [note] = checkSeason([uan], wet).filter(({ rule }) => rule === 'side-dress-method');
	expect(note).toMatchObject({ severity: 'note', remedies: [] });
	expect(note!.text).toContain('the method matters less than being in by V8');
});

it('no remedy puts what bears urea or ammonium into the seed row', () => {
	for (const product of ['urea', 'uan-28', 'ammonium-sulfate', 'dap']) {
		const wrong = nitrogen(product, 20, { placement: 'leaf', date: '2027-05-01' });
		for (const { remedies } of checkSeason([wrong], context())) {
			const placed = remedies.flatMap(({ passes }) => passes.map(({ placement }) => placement));
			if (product !== 'dap') expect(placed, product).not.toContain('seed row');
		}
	}
});

it('liquids are worked in, and dry urea goes beside the seed within its ceiling', () => {
	for (const [product, placement] of [
		['uan-28', 'incorporated'],
		['uan-32', 'incorporated'],
		['urea', '2x2 band']
	] as const) {
		const one = nitrogen(product, 30, { placement, date: '2027-05-01' });
		expect(checkSeason([one], context()).map(({ rule }) => rule)).not.toContain('placement');
	}
});

it('ammonia in young wheat is allowed, with its conditions', () => {
	const early = ammonia('2027-04-05', { placement: 'coulter mid-row' });
	const [note] = checkSeason([early], context({ cropId: 'winter-wheat' })).filter(
		({ rule }) => rule === 'wheat-ammonia'
	);
	expect(note).toMatchObject({ severity: 'note' });
	expect(note?.text).toContain('moist soil, moderate speed');
});

it('the remedies of dry surface urea each clear it', () => {
	const urea = nitrogen('uan-28', 80, { date: '2027-06-05', placement: 'top-dress' });
	const dry = context({ weather: rains('2027-06-05', [0, 0, 0, 0, 0, 0, 0, 14, 0, 0], 24) });
	const of = (passes: Pass[]) => checkSeason(passes, dry).filter(({ rule }) => rule === 'surface-urea');
	const labels = of([urea])[0]!.remedies.map(({ label }) => label);
	expect(labels).toEqual([
		'Add a urease inhibitor',
		'Move it to 11 Jun 2027 (just before the rain)',
		'Put it in by coulter, 4 in deep'
	]);
	for (const { passes } of of([urea])[0]!.remedies)
		expect(of(passes).filter(({ severity }) => severity !== 'note')).toEqual([]);
});

it('the seed-row limit goes with row spacing and opener (trade rule: limit x reference spacing / spacing)', () => {
	const wheat = context({ cropId: 'winter-wheat' });
	// 25 lb on 7.5 in rows: 18.75 on 10 in; a 2 in opener on 10 in rows: 25 x (2/10) / (1/7.5) = 37.5
	expect(seedRowLimit(wheat).lbAc).toBe(25);
	expect(seedRowLimit({ ...wheat, rowSpacingIn: 10 }).lbAc).toBeCloseTo(18.75, 9);
	expect(seedRowLimit({ ...wheat, rowSpacingIn: 10 }, 2).lbAc).toBeCloseTo(37.5, 9);
	// corn 10 lb on 30 in: 15 on 20 in rows
	expect(seedRowLimit(context({ rowSpacingIn: 20 })).lbAc).toBeCloseTo(15, 9);
	expect(seedRowLimit(context({ cropId: 'soybean' })).lbAc).toBe(0);
});
