// Situations of the field as advisers meet them, through the doors that pages and command line use: what must be said, and what must not.
// Where no source is named, what must be said is common practice.
import { describe, expect, it } from 'vitest';
import { advise } from './rates/advise';
import { carrying, context, nitrogen, rains } from './season/checks/rule-cases.test-help';
import { tenureAdvice } from './rates/phosphorus-potassium/tenure-advice';
import { checkSeason } from './season/checks/check-season';
import type { AdviseRequest, Analyte, CropId, LabMethod, Pass, ResultUnit } from './schema-types';
import { cornRequest, library } from './testing.test-help';

const TODAY = '2026-11-20';
type Value = [analyte: Analyte, value: number, unit: ResultUnit, method?: LabMethod];

/** The shipped request with other results, and other facts. */
function ground(values: readonly Value[], change: Partial<AdviseRequest> = {}): AdviseRequest {
	const request = { ...cornRequest(), ...change };
	const [layer] = request.sample.layers;
	const named = new Set(values.map(([analyte]) => analyte));
	const results = values.map(([analyte, value, unit, method]) => ({
		analyte,
		value,
		unit,
		...(method === undefined ? {} : { method })
	}));
	const kept = layer!.results.filter(({ analyte }) => !named.has(analyte));
	return { ...request, sample: { ...request.sample, layers: [{ ...layer!, results: [...kept, ...results] }] } };
}
const crop = (id: CropId, yieldGoal: number, more: Partial<AdviseRequest['crop']> = {}): Partial<AdviseRequest> => ({
	crop: { id, yieldGoal, ...more }
});
const said = (request: AdviseRequest) => advise(request, library, TODAY).findings.map(({ code }) => code);
const rateOf = (request: AdviseRequest, method: string) =>
	advise(request, library, TODAY).rates.find((rate) => rate.method === method)!;

interface OnReport {
	name: string;
	request: AdviseRequest;
	says: string[];
	silent: string[];
}
const REPORTS: OnReport[] = [
	{
		name: 'sand: holds little',
		request: ground([['CEC', 4, 'meq/100g']], { field: { textureClass: 'loamy sand' } }),
		says: ['light-ground'],
		silent: ['organic-soil', 'impossible-value']
	},
	{
		// E-2567 limes organic soils below pH 5.3 only, from memory.
		name: 'muck: real, and under rules of its own',
		request: ground([
			['OM', 70, '%'],
			['pH', 6.2, 'pH', 'water']
		]),
		says: ['organic-soil', 'organic-soil-metals'],
		silent: ['impossible-value', 'no-buffer-ph', 'unusual-OM']
	},
	{
		name: 'calcareous: managed around, never limed',
		request: ground([
			['pH', 8.1, 'pH', 'water'],
			['bufferPh', 7.4, 'pH', 'smp'],
			['carbonate', 6, '%'],
			['OM', 3, '%']
		]),
		says: ['high-ph-manage'],
		silent: ['ph-low', 'buffer-below-ph']
	},
	{
		// Corn 1.7 dS/m and 12 % a dS/m, Maas and Hoffman 1977, from memory.
		name: 'saline',
		request: ground([['EC', 3.5, 'dS/m']]),
		says: ['salinity'],
		silent: ['unusual-EC']
	},
	{
		name: 'saline for corn is no matter for barley in the extract',
		request: ground([['EC', 1.5, 'dS/m']], crop('barley', 80)),
		says: [],
		silent: ['salinity']
	},
	{
		name: 'sodic: drainage first, no acidifier',
		request: ground([
			['pH', 8.6, 'pH', 'water'],
			['Na', 700, 'ppm', 'ammonium-acetate']
		]),
		says: ['high-ph-drainage'],
		silent: ['high-ph-manage']
	},
	{
		name: 'more magnesium than calcium, as on serpentine',
		request: ground([
			['Ca', 500, 'ppm', 'ammonium-acetate'],
			['Mg', 1100, 'ppm', 'ammonium-acetate']
		]),
		says: ['calcium-under-magnesium'],
		silent: ['magnesium-low']
	},
	{
		name: 'phosphorus of 400 ppm',
		request: ground([['P', 400, 'ppm', 'bray-p1']]),
		says: ['unusual-P'],
		silent: ['impossible-value']
	},
	{
		// 0.8 ppm DTPA for zinc: Lindsay and Norvell 1978, from memory.
		name: 'zinc short beside high phosphorus',
		request: ground([
			['Zn', 0.5, 'ppm', 'dtpa'],
			['P', 120, 'ppm', 'bray-p1']
		]),
		says: ['short-zn'],
		silent: ['unknown-zn', 'too-much-zn']
	},
	{
		name: 'boron that hurts beans',
		request: ground([['B', 7, 'ppm', 'hot-water']], crop('soybean', 50)),
		says: ['too-much-b'],
		silent: ['impossible-value']
	},
	{
		name: 'a sample of five years ago',
		request: { ...cornRequest(), sample: { ...cornRequest().sample, date: '2021-10-12' } },
		says: ['old-sample'],
		silent: []
	}
];

describe('what a report must say, and must not', () => {
	it.each(REPORTS)('$name', ({ request, says, silent }) => {
		const codes = said(request);
		for (const code of says) expect(codes).toContain(code);
		for (const code of silent) expect(codes).not.toContain(code);
	});
	it('a zinc test below the lab’s limit decides nothing', () => {
		const request = ground([['Zn', 1, 'ppm', 'dtpa']]);
		const zinc = request.sample.layers[0]!.results.find(({ analyte }) => analyte === 'Zn')!;
		zinc.qualifier = '<';
		const codes = said(request);
		expect(codes).toContain('unknown-zn');
		expect(codes).not.toContain('short-zn');
	});
});

describe('what rates must follow', () => {
	const nitrogenBalance = 'tri-state-1995/nitrogen';
	it('alfalfa ploughed under comes off, and manure, and nitrate in the water', () => {
		const plain = rateOf(cornRequest(), nitrogenBalance).rate!;
		const after = { ...cornRequest(), crop: { ...cornRequest().crop, previousCrop: 'alfalfa' as const } };
		// E-2567: 30 lb after soybean, 100 after alfalfa, from memory.
		expect(rateOf(after, nitrogenBalance).rate).toBeCloseTo(plain - 70, 6);
		const manured = { ...cornRequest(), nitrogen: { manureN: 60 } };
		expect(rateOf(manured, nitrogenBalance).rate).toBeCloseTo(plain - 60, 6);
		// 0.2265 lb N for each inch and ppm of nitrate-N.
		const watered = { ...cornRequest(), nitrogen: { irrigationIn: 10, irrigationNitratePpm: 10 } };
		expect(rateOf(watered, nitrogenBalance).rate).toBeCloseTo(plain - 22.65, 1);
	});
	it('straw that is baled takes its potash along', () => {
		const wheat = (residueRemovedPercent: number) =>
			rateOf({ ...cornRequest(), ...crop('winter-wheat', 80, { residueRemovedPercent }) }, 'crop-removal/potassium')
				.rate!;
		// IPNI removal, from memory: 0.29 lb in a bushel, 1.2 in its straw.
		expect(wheat(0)).toBeCloseTo(80 * 0.29, 6);
		expect(wheat(100)).toBeCloseTo(80 * (0.29 + 1.2), 6);
	});
	it('dry-land wheat takes off nitrate to 24 in, tested this autumn', () => {
		const layer = (nitrate: number, top: number, bottom: number) => ({
			top,
			bottom,
			depthUnit: 'in' as const,
			results: [{ analyte: 'NO3-N' as const, value: nitrate, unit: 'ppm' as const }]
		});
		const sample = { date: '2026-11-05', layers: [...cornRequest().sample.layers, layer(5, 0, 24)] };
		const wheat = { ...cornRequest(), ...crop('spring-wheat', 40, { previousCrop: 'other', year: 2027 }), sample };
		// SF882: 2.5 lb a bushel, less 0.3 x 24 in x 5 ppm, from memory.
		expect(rateOf(wheat, 'northern-plains/nitrogen').rate).toBeCloseTo(100 - 36, 6);
		// The next crop but one takes another test.
		const later = { ...wheat, crop: { ...wheat.crop, year: 2028 } };
		expect(rateOf(later, 'northern-plains/nitrogen').applies).toBe(false);
	});
	it('clay that holds potash fast takes more of it to raise the test', () => {
		const clay = ground(
			[
				['CEC', 32, 'meq/100g'],
				['K', 100, 'ppm', 'ammonium-acetate']
			],
			crop('corn-grain', 160)
		);
		// E-2567, from memory: ((75 + 2.5 x CEC) - K) x (1 + 0.05 x CEC) a year, + removal of 0.27 lb a bushel + 20.
		expect(rateOf(clay, 'tri-state-1995/potassium').rate).toBeCloseTo((155 - 100) * 2.6 + 43.2 + 20, 6);
	});
	it('ground that is rented by the year is not built up for the next tenant', () => {
		expect(tenureAdvice('rented by the year')).toMatchObject({ school: 'feed-the-crop' });
		expect(tenureAdvice('owned')).not.toMatchObject({ school: 'feed-the-crop' });
	});
	it('two crops in one year: potash of both, build-up and the extra of a guide once', () => {
		// E-2567, from memory: 80 bu x 0.37 + 20 + (75 + 2.5 x 14 - 95) x 1.7 for wheat, and 40 bu x 1.4 for soybean.
		const soil = ground(
			[
				['CEC', 14, 'meq/100g'],
				['K', 95, 'ppm', 'ammonium-acetate']
			],
			crop('winter-wheat', 80)
		);
		const both = rateOf(
			{ ...soil, secondCrop: { id: 'soybean', yieldGoal: 40 } },
			'tri-state-1995/potassium'
		).bothYears!;
		expect(both.applies && both.value).toBeCloseTo(80 * 0.37 + 20 + 15 * 1.7 + 40 * 1.4, 1);
	});
	it('free lime: no lime, and Bray is not read', () => {
		const white = ground([
			['pH', 8.1, 'pH', 'water'],
			['bufferPh', 7.4, 'pH', 'smp']
		]);
		for (const rate of advise(white, library, TODAY).rates) {
			if (rate.nutrient === 'lime' && rate.applies) expect(rate.rate, rate.method).toBe(0);
			if (rate.nutrient === 'P2O5' && /tri-state/.test(rate.method)) expect(rate.applies, rate.method).toBe(false);
		}
	});
});

interface OnPlan {
	name: string;
	passes: Pass[];
	change?: Parameters<typeof context>[0];
	says: string[];
	silent: string[];
}
const wheat = { cropId: 'winter-wheat' as const, plantingDate: '2026-10-05' };
const PLANS: OnPlan[] = [
	{
		// Minnesota trials of the 1980s, from memory: none broadcast from V7.
		name: 'UAN broadcast over tall corn',
		passes: [nitrogen('uan-28', 60, { date: '2027-06-28', placement: 'top-dress' })],
		says: ['leaf-burn'],
		silent: ['standing-crop']
	},
	{
		name: 'the same from drops',
		passes: [nitrogen('uan-28', 60, { date: '2027-06-20', placement: 'row-base stream' })],
		says: [],
		silent: ['leaf-burn', 'standing-crop']
	},
	{
		// E-2567: 20 to 30 lb N at sowing, from memory.
		name: 'a full rate of urea on wheat at sowing',
		passes: [nitrogen('urea', 120, { date: '2026-10-05', placement: 'incorporated' })],
		change: wheat,
		says: ['autumn-nitrogen'],
		silent: []
	},
	{
		name: 'the nitrogen of a phosphate at sowing',
		passes: [nitrogen('map', 12, { date: '2026-10-04', placement: 'incorporated' })],
		change: wheat,
		says: [],
		silent: ['autumn-nitrogen', 'standing-crop']
	},
	{
		name: 'ammonia two days before corn, 5 in deep',
		passes: [nitrogen('ammonia', 120, { date: '2027-04-29', placement: 'injected', depthIn: 5, offsetIn: 0 })],
		says: ['ammonia-near-seed'],
		silent: []
	},
	{
		name: 'phosphate on frozen ground, on a slope',
		passes: [carrying('P2O5', 'map', 50, { date: '2027-01-20' })],
		change: { slopePercent: 8 },
		says: ['frozen-ground', 'slope-phosphorus'],
		silent: []
	},
	{
		name: 'all of it before planting on poorly drained ground',
		passes: [nitrogen('urea', 150, { date: '2027-04-20', placement: 'incorporated' })],
		change: { drainage: 'poor' },
		says: ['all-up-front', 'waiting-ammonium'],
		silent: ['surface-urea']
	},
	{
		name: 'a starter in the furrow that salts the seed, and one that does not',
		passes: [nitrogen('app-10-34-0', 14, { placement: 'seed row', date: '2027-05-01' })],
		says: ['seed-row'],
		silent: []
	},
	{
		name: 'five pounds of nitrogen with the corn',
		passes: [nitrogen('app-10-34-0', 5, { placement: 'seed row', date: '2027-05-01' })],
		says: [],
		silent: ['seed-row']
	},
	{
		// Prairie guidelines, from memory: 25 lb P2O5 with canola.
		name: 'phosphate with canola inside its limit',
		passes: [carrying('P2O5', 'map', 20, { placement: 'seed row', date: '2027-05-01' })],
		change: { cropId: 'canola', rowSpacingIn: 7.5 },
		says: [],
		silent: ['seed-row']
	},
	{
		name: 'boron above what corn stands',
		passes: [carrying('B', 'borate', 3, { date: '2027-04-10' })],
		says: ['boron-ceiling'],
		silent: []
	},
	{
		name: 'gypsum and manure by the ton are no lime',
		passes: [
			{ ...carrying('S', 'gypsum', 20, { id: 'gypsum', date: '2026-11-10' }), rate: 5, unit: 'short ton/ac' },
			{ ...carrying('K2O', 'empty-bunches', 20, { id: 'bunches', date: '2027-03-10' }), rate: 9, unit: 'short ton/ac' }
		],
		says: [],
		silent: ['heavy-lime', 'surface-lime', 'lime-lead']
	},
	{
		name: 'urea on top with ten dry days in sight',
		passes: [nitrogen('urea', 80, { date: '2027-06-05', placement: 'top-dress' })],
		change: { weather: rains('2027-06-05', Array<number>(10).fill(0), 24) },
		says: ['surface-urea'],
		silent: []
	},
	{
		// Winter canola takes most of its nitrogen in spring and is cut in July: common practice.
		name: 'winter canola top-dressed before it bolts',
		passes: [nitrogen('uan-28', 60, { date: '2027-03-25', placement: 'top-dress' })],
		change: { cropId: 'canola', plantingDate: '2026-09-10' },
		says: [],
		silent: ['after-harvest', 'autumn-nitrogen', 'late-side-dress', 'dormant-crop']
	},
	{
		name: 'all the nitrogen of winter canola at sowing',
		passes: [nitrogen('urea', 120, { date: '2026-09-09', placement: 'incorporated' })],
		change: { cropId: 'canola', plantingDate: '2026-09-10' },
		says: ['autumn-nitrogen'],
		silent: ['after-harvest', 'standing-crop']
	},
	{
		name: 'winter canola fed after its harvest',
		passes: [nitrogen('uan-28', 60, { date: '2027-07-20', placement: 'top-dress' })],
		change: { cropId: 'canola', plantingDate: '2026-09-10' },
		says: ['after-harvest'],
		silent: []
	},
	{
		name: 'tile inlets in the field',
		passes: [nitrogen('urea', 100, {})],
		change: { setbacks: [{ from: 'tile inlets', feet: 35 }] },
		says: ['setbacks'],
		silent: []
	},
	{
		name: 'potash in autumn on sand',
		passes: [carrying('K2O', 'potash', 120, { date: '2026-10-20' })],
		change: { sandy: true, cec: 5 },
		says: ['sandy-potassium'],
		silent: []
	}
];

describe('what a plan must be told, and must not', () => {
	it.each(PLANS)('$name', ({ passes, change, says, silent }) => {
		const rules = checkSeason(passes, context(change)).map(({ rule }) => rule);
		for (const rule of says) expect(rules).toContain(rule);
		for (const rule of silent) expect(rules).not.toContain(rule);
	});
});
