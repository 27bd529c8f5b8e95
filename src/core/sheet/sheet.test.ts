import { describe, expect, it } from 'vitest';
import { validator } from '../check/validator';
import { figure } from '../figure/figure';
import { chosenRate } from '../rates/choose';
import { advise } from '../rates/advise';
import { passCost } from '../season/plan/pass/pass-cost';
import { productOf } from '../season/plan/plan-context';
import type { Pass, SheetContent } from '../schema-types';
import { cornRequest, library } from '../testing.test-help';
import { buildSheet, type SheetSource } from './build-sheet';
import { sheetDifferences } from './sheet-differences';
import { sameAdvice } from './same-advice';
import { sheetTable } from './sheet-table';

const asSheet = validator<SheetContent>('sheet');
const { products, cautions } = library;

const passes: Pass[] = [
	{
		id: 'a',
		date: '2026-12-02',
		label: 'Lime',
		product: 'aglime',
		rate: 4.72,
		unit: 'short ton/ac',
		placement: 'incorporated',
		reason: 'Early.'
	},
	{
		id: 'b',
		date: '2027-06-08',
		label: 'Side-dress',
		product: 'uan-28',
		rate: 510,
		unit: 'lb/ac',
		placement: 'row-base stream',
		reason: '=1+1'
	}
];

function source(change: Partial<SheetSource> = {}): SheetSource {
	const request = change.request ?? cornRequest();
	const answer = advise(request, library, '2026-11-23');
	const nitrogen = chosenRate({ nutrient: 'N', method: 'tri-state-1995/nitrogen' }, answer.rates)!;
	return {
		preparedBy: 'Ada Verhulst',
		issuedOn: '2026-11-23',
		grower: 'Tarrow',
		field: { name: 'North', areaAcres: 62 },
		year: 2027,
		crop: library.crops.find(({ id }) => id === 'corn-grain')!,
		plantingDate: '2027-05-01',
		previousCrop: 'soybean',
		soilSource: 'sampled 2026-10-12',
		soilValues: [figure({ label: 'soil pH', value: 5.6, unit: 'pH', basis: 'measured' })],
		chosen: [nitrogen],
		passes,
		stages: [{ name: 'V6', date: '2027-06-05' }],
		passCosts: new Map(passes.map((pass) => [pass.id, passCost(pass, productOf(pass, products), () => 100)])),
		findings: answer.findings,
		leafTests: [],
		decisions: [],
		station: { name: 'Fen Gauge', simulated: false },
		checks: [],
		packs: library.packs.packs.slice(0, 1),
		request,
		products,
		cautionList: cautions,
		loads: { tankGal: 1000, boxLb: 12_000, batchLb: 12_000, weighLb: 50 },
		prescriptions: new Map(),
		...change
	};
}

describe('a sheet', () => {
	it('is complete in itself and fits its schema after a round through JSON', () => {
		const content = asSheet(JSON.parse(JSON.stringify(buildSheet(source()))));
		expect(content).toMatchObject({ format: 1, grower: 'Tarrow', units: 'us', crop: { name: 'Corn', yieldGoal: 160 } });
		expect(content.rates[0]).toMatchObject({ nutrient: 'N', by: 'Tri-state guide 1995' });
		expect(content.rates[0]?.rate.inputs.length).toBeGreaterThan(0);
		expect(content.request).toEqual(cornRequest());
	});

	it('carries the cautions of its products, once, with who is bound by what', () => {
		const { cautions: said, passes: lines } = buildSheet(source());
		expect(said[0]).toContain('mask');
		expect(said.at(-1)).toContain('licensed applicator');
		expect(lines[1]?.cautions[0]).toContain('loses ammonia');
	});

	it('counts out the whole field, gallons of a liquid, and what is carried', () => {
		const [lime, uan] = buildSheet(source()).passes;
		expect([lime!.stage, uan!.stage]).toEqual([undefined, 'V6']);
		// 4.72 tons are printed and set as 4.70, on 62 ac.
		expect(lime?.wholeField.applies && lime.wholeField.value).toBeCloseTo(291.4, 9);
		expect(lime?.gallons.applies).toBe(false);
		expect(uan?.gallons.applies && uan.gallons.value).toBeCloseTo(47.8, 1);
		expect(uan?.carries.map(({ nutrient, pounds }) => [nutrient, +pounds.value.toFixed(6)])).toEqual([['N', 142.8]]);
	});

	it.each([
		// 108.45 lb are set as 108 lb; 121.55 kg/ha as 122 kg/ha.
		['us', 8640, 1],
		['metric', 122 * 80 * 0.40468564224, 0.45359237]
	] as const)('is the printed rate x the area, in plan, total and loads: %s', (units, whole, perLb) => {
		const urea: Pass = { ...passes[1]!, id: 'u', product: 'urea', rate: 108.45, unit: 'lb/ac' };
		const { passes: lines, loading } = buildSheet(
			source({
				passes: [urea],
				passCosts: new Map([['u', passCost(urea, productOf(urea, products), () => undefined)]]),
				field: { name: 'North', areaAcres: 80 },
				request: { ...cornRequest(), units }
			})
		);
		const { wholeField } = lines[0]!;
		expect(wholeField.applies && wholeField.value * perLb).toBeCloseTo(whole, 2);
		const [box] = loading!.flatMap(({ loads }) => loads);
		expect(box!.parts[0]).toMatchObject({ full: expect.closeTo(whole / perLb, 2) });
	});

	it('says where dates and checks use invented weather, and sheets that did not say so are still good', () => {
		expect(buildSheet(source()).weather).toBeUndefined();
		const invented = buildSheet(source({ station: { name: 'Fen Gauge', simulated: true } }));
		expect(invented.weather).toContain('invented weather of Fen Gauge');
		expect(sameAdvice(buildSheet(source()), invented)).toBe(true);
	});

	it('leaves the whole field out where the area is not known, and the cost where a price is', () => {
		const content = buildSheet(
			source({
				field: { name: 'North' },
				passCosts: new Map(passes.map((pass) => [pass.id, passCost(pass, productOf(pass, products), () => undefined)]))
			})
		);
		expect(content.passes[0]?.wholeField).toMatchObject({ applies: false, reason: 'the area is not known' });
		expect(content.cost).toMatchObject({ applies: false });
	});
});

describe('the table of a sheet', () => {
	it('has a line for each pass under its headers, with plain numbers', () => {
		const [head, lime, uan] = sheetTable(buildSheet(source()));
		expect(head).toHaveLength(11);
		expect(lime?.slice(0, 5)).toEqual(['2026-12-02', 'Lime', 'Agricultural lime, calcitic', '4.72', 'short ton/ac']);
		expect(uan?.[5]).toBe('47.8');
		expect(uan?.[8]).toBe('31,620 lb');
	});

	it('speaks the units of the sheet', () => {
		const [, lime] = sheetTable(buildSheet(source({ request: { ...cornRequest(), units: 'metric' } })));
		// 4.72 short tons/ac x 2.2417 = 10.58 t/ha
		expect(lime?.slice(3, 5)).toEqual(['10.58', 't/ha']);
	});

	it('says the reason where there is no number', () => {
		const [, lime] = sheetTable(buildSheet(source({ field: { name: 'North' } })));
		expect(lime?.[8]).toBe('the area is not known');
	});
});

describe('whether a sheet is out of date', () => {
	const issued = JSON.parse(JSON.stringify(buildSheet(source()))) as SheetContent;
	it('is not asked of who printed it and when', () => {
		const request = { ...cornRequest(), asOf: '2030-01-01' };
		expect(
			sameAdvice(issued, buildSheet(source({ preparedBy: 'Someone', issuedOn: '2027-01-01', request, findings: [] })))
		).toBe(true);
	});
	it('is told by a new soil test, a changed pass or another pack version', () => {
		const richer = cornRequest();
		richer.sample.layers[0]!.results[3]!.value = 170;
		expect(sameAdvice(issued, buildSheet(source({ request: richer })))).toBe(false);
		expect(sameAdvice(issued, buildSheet(source({ passes: passes.slice(1) })))).toBe(false);
		expect(sameAdvice(issued, buildSheet(source({ packs: library.packs.packs.slice(1, 2) })))).toBe(false);
	});
	it('and whatever it is by, something is listed as changed', () => {
		const [pack] = issued.packs;
		const guide = { ...issued, packs: [{ ...pack!, version: '9.9.9' }, ...issued.packs.slice(1)] };
		expect(sheetDifferences(issued, guide)).toEqual([expect.stringContaining('9.9.9, before') as string]);
		const check = {
			rule: 'totals',
			severity: 'mind' as const,
			text: 'N: short.',
			basis: 'practice' as const,
			remedies: []
		};
		expect(sheetDifferences({ ...issued, checks: [] }, { ...issued, checks: [check] })).toEqual(['New: N: short.']);
		const deep = { ...issued, request: { ...issued.request, field: { ...issued.request.field, slopePercent: 3 } } };
		expect(sheetDifferences(issued, deep)).toHaveLength(1);
		expect(sheetDifferences(issued, issued)).toEqual([]);
	});
});

describe('a choice', () => {
	const { rates } = advise(cornRequest(), library, '2026-11-23');
	it('follows its method', () => {
		expect(chosenRate({ nutrient: 'P2O5', method: 'tri-state-1995/phosphorus' }, rates)?.rate.value).toBeCloseTo(
			84.2,
			9
		);
	});
	it('lapses where the method gives no rate any more, or is gone', () => {
		expect(chosenRate({ nutrient: 'P2O5', method: 'northern-plains/phosphorus-olsen' }, rates)).toBeUndefined();
		expect(chosenRate({ nutrient: 'P2O5', method: 'lost-pack/phosphorus' }, rates)).toBeUndefined();
	});
	it('of one’s own stands with its reason', () => {
		const own = chosenRate({ nutrient: 'lime', ownRate: 2, reason: 'two years' }, rates);
		expect(own).toMatchObject({
			by: 'the adviser',
			why: 'two years',
			rate: { value: 2, unit: 'short ton/ac', basis: 'adviser' }
		});
	});
});
