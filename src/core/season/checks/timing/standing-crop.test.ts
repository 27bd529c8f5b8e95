import { describe, expect, it } from 'vitest';
import type { Pass } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { cropBefore } from '../../schedule/crop-before';
import { planContext } from '../../plan/plan-context.test-help';
import { proposeProgramme } from '../../propose/propose-programme';
import { usualStages } from '../../stages/stage-dates';
import { shiftDate } from '../../weather/season-weather';
import { usualDayOfLeaves } from '../../weather/usual-weather';
import { checkSeason } from '../check-season';
import { carrying, context, describeRules, nitrogen, station, type RuleCase } from '../rule-cases.test-help';

/** UAN-28 weighs 10.67 lb a gallon: trade tables. */
const gallons = (gal: number, change: Partial<Pass>): Pass =>
	nitrogen('uan-28', gal * 10.67 * 0.28, { placement: 'broadcast', ...change });
const leaves = (many: number) => usualDayOfLeaves(station, '2027-05-01', many);
const wheatStages = usualStages(planContext({ cropId: 'winter-wheat' }));
const feekes = (stage: number) => wheatStages.find((one) => (one.feekes ?? 0) >= stage)!.date;
const wheat = { cropId: 'winter-wheat' as const };
const lime = (date: string): Pass => ({
	...nitrogen('urea', 1, { date, placement: 'incorporated' }),
	product: 'aglime',
	rate: 2,
	unit: 'short ton/ac'
});
const cornBeforeWheat = { ...wheat, cropBefore: cropBefore('corn-grain', '2026-10-05', library) };

const CASES: RuleCase[] = [
	{
		rule: 'leaf-burn',
		name: '60 gal of UAN broadcast over corn at V10',
		fires: gallons(60, { date: leaves(10.2) }),
		severity: 'stop',
		says: 'burns the leaves: none goes over the top',
		nearMiss: gallons(60, { date: leaves(10.2), placement: 'row-base stream' })
	},
	{
		rule: 'leaf-burn',
		name: 'over 90 lb over corn at V3',
		fires: nitrogen('uan-28', 91, { date: leaves(3.2) }),
		severity: 'mind',
		says: 'at most 90 lb N',
		nearMiss: nitrogen('uan-28', 90, { date: leaves(3.2) })
	},
	{
		rule: 'leaf-burn',
		name: 'over 60 lb over corn at V6',
		fires: nitrogen('uan-32', 61, { date: leaves(6.2) }),
		severity: 'mind',
		says: 'at most 60 lb N',
		nearMiss: nitrogen('urea', 61, { date: leaves(6.2), placement: 'top-dress' })
	},
	{
		rule: 'leaf-burn',
		name: '40 gal over wheat at flag leaf',
		fires: gallons(40, { date: feekes(8), placement: 'top-dress' }),
		severity: 'stop',
		says: 'at most 30 lb N',
		nearMiss: nitrogen('uan-28', 30, { date: feekes(8), placement: 'top-dress' }),
		change: wheat
	},
	{
		rule: 'standing-crop',
		name: 'DAP worked in in wheat in March',
		fires: carrying('P2O5', 'dap', 46, { date: '2027-03-20', placement: 'incorporated' }),
		severity: 'stop',
		says: 'tears up the standing winter wheat',
		nearMiss: carrying('P2O5', 'dap', 46, { date: '2027-03-20', placement: 'broadcast' }),
		change: wheat
	},
	{
		rule: 'standing-crop',
		name: 'a strip band in corn in June',
		fires: carrying('K2O', 'potash', 60, { date: '2027-06-15', placement: 'deep strip band', depthIn: 7 }),
		severity: 'stop',
		says: 'tears up the standing corn',
		nearMiss: nitrogen('uan-28', 60, { date: '2027-06-15', placement: 'injected' })
	},
	{
		rule: 'standing-crop',
		name: 'knives through drilled wheat',
		fires: nitrogen('uan-28', 60, { date: '2027-04-10', placement: 'injected' }),
		severity: 'stop',
		says: 'tears up the standing winter wheat',
		nearMiss: nitrogen('uan-28', 60, { date: '2027-04-10', placement: 'coulter mid-row' }),
		change: wheat
	},
	{
		rule: 'standing-crop',
		name: 'lime worked in while the corn before still stands',
		fires: lime('2026-06-07'),
		severity: 'stop',
		says: 'tears up the standing corn',
		nearMiss: lime('2026-09-20'),
		change: cornBeforeWheat
	},
	{
		rule: 'autumn-nitrogen',
		name: '120 lb as urea on the day wheat is sown',
		fires: nitrogen('urea', 120, { date: '2026-10-05', placement: 'incorporated' }),
		severity: 'stop',
		says: 'takes up 20 to 30 lb by winter',
		// 200 lb of DAP bring 36 lb N: normal for phosphate at sowing.
		nearMiss: nitrogen('dap', 36, { date: '2026-10-04', placement: 'incorporated' }),
		change: wheat
	},
	{
		rule: 'autumn-nitrogen',
		name: '50 lb before wheat',
		fires: nitrogen('ammonium-sulfate', 50, { date: '2026-10-01' }),
		severity: 'mind',
		says: '50 lb N in autumn',
		nearMiss: nitrogen('ammonium-sulfate', 30, { date: '2026-10-01' }),
		change: wheat
	}
];

describeRules(CASES);

describe('a crop sown in autumn', () => {
	it('gets the rest at green-up, on top: the remedy tills no sown wheat', () => {
		const urea = nitrogen('urea', 120, { date: '2026-10-05', placement: 'incorporated', depthIn: 3 });
		const [check] = checkSeason([urea], context(wheat)).filter(({ rule }) => rule === 'autumn-nitrogen');
		const [now, later] = check!.remedies[0]!.passes;
		expect([now!.rate * 0.46, later!.rate * 0.46].map(Math.round)).toEqual([40, 80]);
		expect(later).toMatchObject({ placement: 'top-dress', date: '2027-03-20' });
		expect(later).not.toHaveProperty('depthIn');
		expect(checkSeason(check!.remedies[0]!.passes, context(wheat)).map(({ rule }) => rule)).not.toContain(
			'standing-crop'
		);
	});
	it('counts manure by its ammonium', () => {
		// Of 0.6 % N in the first year a third is ammonium.
		const [shipped] = library.products.filter((product) => product.manure);
		const slurry = {
			...shipped!,
			id: 'slurry',
			analysis: { N: 0.6 },
			manure: { ...shipped!.manure!, ammoniumPercent: 0.2 }
		};
		const at = (ammonium: number) =>
			checkSeason(
				[{ ...lime('2026-09-28'), product: 'slurry', rate: ammonium / 0.002, unit: 'lb/ac' }],
				context({ ...wheat, products: [...library.products, slurry] })
			).filter(({ rule }) => rule === 'autumn-nitrogen');
		expect(at(39)).toEqual([]);
		expect(at(41)).toHaveLength(1);
	});
});

describe('lime before wheat after corn', () => {
	it('is proposed once the corn is off', () => {
		const before = cornBeforeWheat.cropBefore!;
		expect(before).toMatchObject({ name: 'corn', from: '2026-05-01', to: '2026-09-16' });
		const { passes } = proposeProgramme(planContext({ ...cornBeforeWheat, chosen: { lime: 2 } }));
		expect(passes.find(({ product }) => product === 'aglime')?.date).toBe(shiftDate(before.to, 1));
	});
	it('is off the day before planting at the latest', () => {
		expect(cropBefore('corn-grain', '2026-09-01', library)?.to).toBe('2026-08-31');
		expect(cropBefore('fallow', '2026-10-05', library)).toBeUndefined();
	});
});

it('15 tons of manure or gypsum are no heavy lime, 15 tons of lime are', () => {
	const heavy = (product: string) =>
		checkSeason([{ ...lime('2026-11-20'), product, rate: 15 }], context()).map(({ rule }) => rule);
	const manure = library.products.find((product) => product.manure)!.id;
	expect(heavy('aglime')).toContain('heavy-lime');
	expect(heavy('gypsum')).not.toContain('heavy-lime');
	expect(heavy(manure)).not.toContain('heavy-lime');
});

describe('rock phosphate', () => {
	// 3 % available of 30 % in all: from memory.
	const rock: Pass = { ...lime('2026-11-20'), id: 'rock', product: 'rock-phosphate', rate: 750, unit: 'lb/ac' };
	const said = (soilPh: number) =>
		checkSeason([rock], context({ soilPh })).find(({ rule }) => rule === 'total-phosphate');
	it('says its total beside what is available', () => {
		expect(said(6)).toMatchObject({ severity: 'note', pass: 'rock' });
		expect(said(6)!.text).toContain('225 lb P2O5 in all. 22.5 lb of it is available');
		expect(said(6)!.text).not.toContain('estates');
		expect(said(4.4)!.text).toContain('estates count the total');
	});
});
