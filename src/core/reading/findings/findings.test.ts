import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { validator } from '../../check/validator';
import type { AdviseRequest, Finding, Plausibility } from '../../schema-types';
import { cornRequest, cornRequestWith, library } from '../../testing.test-help';
import { advise, siteOf } from '../../rates/advise';
import { cationExchangeCapacity } from '../soil/cec';
import { readReport } from './read-report';

function findings(request: AdviseRequest): Finding[] {
	const site = siteOf(request, library, '2026-11-20');
	const { packs, waterLimits } = library;
	return readReport({ site, cec: cationExchangeCapacity(site.soil), packs, waterLimits });
}
const codes = (request: AdviseRequest) => findings(request).map(({ code }) => code);
const sampled = (date: string, change: Partial<AdviseRequest> = {}): AdviseRequest => {
	const request = { ...cornRequest(), ...change };
	return { ...request, sample: { ...request.sample, date } };
};

describe('each finding fires, and its near miss does not', () => {
	it('no CEC', () => {
		expect(codes(cornRequestWith({ CEC: undefined }))).toContain('no-cec');
		expect(codes(cornRequest())).not.toContain('no-cec');
	});

	it('no buffer pH though pH is under the target', () => {
		expect(codes(cornRequestWith({ bufferPh: undefined }))).toContain('no-buffer-ph');
		const limed = cornRequestWith({ bufferPh: undefined, pH: { method: 'water', value: 6.5, unit: 'pH' } });
		expect(codes(limed)).not.toContain('no-buffer-ph');
	});

	it('sample older than four years, two on sand, one in an orchard', () => {
		expect(codes(sampled('2022-10-12'))).toContain('old-sample');
		expect(codes(sampled('2022-11-30'))).not.toContain('old-sample');
		const sand = { field: { textureClass: 'loamy sand' as const } };
		expect(codes(sampled('2024-10-12', sand))).toContain('old-sample');
		expect(codes(sampled('2024-12-12', sand))).not.toContain('old-sample');
		const orchard = { crop: { id: 'apple' as const, yieldGoal: 20 } };
		expect(codes(sampled('2025-10-12', orchard))).toContain('old-sample');
		expect(codes(sampled('2025-12-12', orchard))).not.toContain('old-sample');
	});

	it('sample without a date', () => {
		const request = cornRequest();
		delete request.sample.date;
		expect(codes(request)).toContain('no-sample-date');
	});

	it('nitrate older than 30 days', () => {
		const withNitrate = (date: string) => {
			const request = cornRequestWith({ 'NO3-N': { value: 5, unit: 'ppm' } });
			return { ...request, sample: { ...request.sample, date } };
		};
		// In autumn and winter what was taken since September still holds.
		expect(codes(withNitrate('2026-08-20'))).toContain('old-nitrate');
		expect(codes(withNitrate('2026-10-01'))).not.toContain('old-nitrate');
		const june = (date: string) => ({ ...withNitrate(date), asOf: '2026-06-20' });
		expect(codes(june('2026-05-20'))).toContain('old-nitrate');
		expect(codes(june('2026-05-21'))).not.toContain('old-nitrate');
		expect(codes(sampled('2026-10-12'))).not.toContain('old-nitrate');
	});

	it('values that cannot be true, which are then not used', () => {
		const twelve = cornRequestWith({ pH: { method: 'water', value: 12, unit: 'pH' } });
		expect(findings(twelve)[0]).toMatchObject({ code: 'impossible-value', severity: 'stop' });
		expect(codes(cornRequestWith({ pH: { method: 'water', value: 10, unit: 'pH' } }))).not.toContain(
			'impossible-value'
		);
		expect(codes(cornRequestWith({ OM: { value: 96, unit: '%' } }))).toContain('impossible-value');
		expect(codes(cornRequestWith({ OM: { value: 95, unit: '%' } }))).not.toContain('impossible-value');
		expect(codes(cornRequestWith({ OM: { value: 960, unit: 'g/kg' } }))).toContain('impossible-value');
	});

	it('a probable slip of units', () => {
		expect(codes(cornRequestWith({ P: { method: 'bray-p1', value: 301, unit: 'ppm' } }))).toContain('unit-slip');
		expect(codes(cornRequestWith({ P: { method: 'bray-p1', value: 300, unit: 'ppm' } }))).not.toContain('unit-slip');
		// 700 lb/ac in 8 in is 292 ppm.
		expect(codes(cornRequestWith({ P: { method: 'bray-p1', value: 700, unit: 'lb/ac' } }))).not.toContain('unit-slip');
	});

	it('cations that fill more than the CEC', () => {
		const ca = (ppm: number) => cornRequestWith({ Ca: { value: ppm, unit: 'ppm' } });
		// CEC 16 and K 120 ppm (1.9 %): Ca may reach 100.1 %, 3210 ppm.
		expect(codes(ca(3220))).toContain('cations-over-cec');
		expect(codes(ca(3190))).not.toContain('cations-over-cec');
	});

	it('pH outside the band of the crop', () => {
		const at = (value: number) => codes(cornRequestWith({ pH: { method: 'water', value, unit: 'pH' } }));
		expect(at(6.2)).toContain('ph-low');
		expect(at(6.3)).not.toContain('ph-low');
		expect(at(7.4)).toContain('high-ph-manage');
		expect(at(7.3)).not.toContain('high-ph-manage');
	});

	it('pH on the CaCl2 scale alone, which is then held against nothing', () => {
		const chloride = cornRequestWith({ pH: { method: 'cacl2', value: 5.2, unit: 'pH' } });
		expect(codes(chloride)).toContain('ph-other-scale');
		// Against the line of its own scale, never against the crop's band in water.
		expect(findings(chloride).find(({ code }) => code === 'ph-low')?.text).toContain('lime is called for below 5.5');
		chloride.sample.layers[0]!.results.push({ analyte: 'pH', method: 'water', value: 5.9, unit: 'pH' });
		expect(codes(chloride)).not.toContain('ph-other-scale');
	});

	it('a depth that a guide was not calibrated on', () => {
		const [other] = findings(cornRequest()).filter(({ code }) => code === 'other-depth');
		expect(other?.text).toContain('Northern plains guides (0-6 in)');
		const seven = cornRequest();
		seven.sample.layers[0]!.bottom = 7;
		expect(codes(seven)).not.toContain('other-depth');
	});
});

it('puts the gravest first, each with a remedy', () => {
	const all = findings(cornRequestWith({ CEC: undefined, OM: { value: 99, unit: '%' } }));
	expect(all[0]?.severity).toBe('stop');
	expect(all.at(-1)?.severity).toBe('note');
	for (const { remedy } of all) expect(remedy.length).toBeGreaterThan(10);
});

/** A sample in layers of pH on one scale, 5 cm each. */
function layered(method: 'water' | 'cacl2', values: number[]): AdviseRequest {
	const request = { ...cornRequest(), crop: { id: 'apple' as const, yieldGoal: 20 } };
	const layers = values.map((value, index) => ({
		top: index * 5,
		bottom: index * 5 + 5,
		depthUnit: 'cm' as const,
		results: [{ analyte: 'pH' as const, method, value, unit: 'pH' as const }]
	}));
	return { ...request, sample: { ...request.sample, layers } };
}

describe('acid ground below the surface', () => {
	it('is named with its depth where the layers were sampled', () => {
		const [band] = findings(layered('cacl2', [5.9, 4.7, 4.6, 5.0])).filter(({ code }) => code === 'acid-band');
		expect(band?.text).toContain('4.7 at 5-10 cm, 4.6 at 10-15 cm, 5 at 15-20 cm');
		expect(band?.text).toContain('surface of pH 5.9 (CaCl2)');
		expect(band?.remedy).toContain('Aluminium likely stunts the roots from 5 cm down');
	});
	it('is no band where the layers are alike, or fine', () => {
		expect(codes(layered('cacl2', [5.2, 5.2, 5.3, 5.2]))).not.toContain('acid-band');
		expect(codes(layered('cacl2', [5.9, 5.6, 5.5, 5.8]))).not.toContain('acid-band');
	});
	it('is asked for where only the surface was taken', () => {
		expect(codes(layered('cacl2', [5.9]))).toContain('ask-for-layers');
		expect(codes(layered('cacl2', [5.9, 5.8]))).not.toContain('ask-for-layers');
		const plough = (value: number) => {
			const request = layered('cacl2', [value]);
			request.sample.layers[0]!.bottom = 10;
			return codes(request);
		};
		expect(plough(5.7)).toContain('ask-for-layers');
		expect(plough(5.8)).not.toContain('ask-for-layers');
	});
	it('asks for nothing on the usual sample in water', () =>
		expect(codes(cornRequest())).not.toContain('ask-for-layers'));

	it('warns of aluminium by pH on each scale, and by the share the lab gives', () => {
		expect(codes(layered('cacl2', [4.7]))).toContain('aluminium');
		expect(codes(layered('cacl2', [4.8]))).not.toContain('aluminium');
		expect(codes(layered('water', [5.2]))).toContain('aluminium');
		expect(codes(layered('water', [5.4]))).not.toContain('aluminium');
		expect(codes(cornRequestWith({ satAl: { value: 12, unit: '%' } }))).toContain('aluminium');
		expect(codes(cornRequestWith({ satAl: { value: 9, unit: '%' } }))).not.toContain('aluminium');
	});
});

describe('high pH is a diagnosis', () => {
	const high = (changes: Parameters<typeof cornRequestWith>[0]) =>
		codes(cornRequestWith({ pH: { method: 'water', value: 8.1, unit: 'pH' }, ...changes }));
	it('salts or sodium: drainage', () => {
		expect(high({ EC: { value: 4.5, unit: 'dS/m' } })).toContain('high-ph-drainage');
		expect(high({ EC: { value: 0.6, unit: 'dS/m' } })).not.toContain('high-ph-drainage');
		expect(high({ Na: { value: 460, unit: 'ppm' } })).toContain('high-ph-drainage');
	});
	it('carbonate and little organic matter: lost topsoil', () => {
		const lime = { carbonate: { value: 8, unit: '%' as const } };
		expect(high({ ...lime, OM: { value: 1.4, unit: '%' } })).toContain('high-ph-lost-topsoil');
		expect(high({ ...lime, OM: { value: 4, unit: '%' } })).toContain('high-ph-manage');
	});
	it('otherwise manage around it, and say what would make it surer', () => {
		const [found] = findings(cornRequestWith({ pH: { method: 'water', value: 8.1, unit: 'pH' } })).filter(
			({ code }) => code === 'high-ph-manage'
		);
		expect(found?.remedy).toContain('ask the lab for EC, sodium, carbonate');
	});
});

describe('how the cations stand to each other', () => {
	const cations = (Ca: number, Mg: number, K: number, Na = 10) =>
		codes(
			cornRequestWith({
				Ca: { value: Ca, unit: 'ppm' },
				Mg: { value: Mg, unit: 'ppm' },
				K: { method: 'ammonium-acetate', value: K, unit: 'ppm' },
				Na: { value: Na, unit: 'ppm' }
			})
		);
	it('K over Mg, or Mg under a tenth of CEC', () => {
		expect(cations(2000, 230, 250)).toContain('magnesium-low');
		expect(cations(2000, 150, 120)).toContain('magnesium-low');
		expect(cations(2000, 230, 120)).not.toContain('magnesium-low');
	});
	it('more Mg than Ca: serpentine', () => {
		expect(cations(600, 500, 120)).toContain('calcium-under-magnesium');
		expect(cations(2000, 500, 120)).not.toContain('calcium-under-magnesium');
	});
	it('sodium over 5 % of CEC', () => {
		expect(cations(2000, 230, 120, 200)).toContain('sodium-high');
		expect(cations(2000, 230, 120, 180)).not.toContain('sodium-high');
	});
	it('shares by the lab that do not make 100', () => {
		const shares = (H: number) =>
			codes(
				cornRequestWith({
					satCa: { value: 60, unit: '%' },
					satMg: { value: 14, unit: '%' },
					satK: { value: 3, unit: '%' },
					satH: { value: H, unit: '%' }
				})
			);
		expect(shares(18)).toContain('lab-shares-sum');
		expect(shares(21.5)).not.toContain('lab-shares-sum');
		expect(codes(cornRequestWith({ satCa: { value: 60, unit: '%' } }))).not.toContain('lab-shares-sum');
	});
});

describe('held against what is known already', () => {
	const afterAnother = (P: number, before: number) => {
		const request = cornRequestWith({ P: { method: 'bray-p1', value: P, unit: 'ppm' } });
		const earlier = cornRequestWith({ P: { method: 'bray-p1', value: before, unit: 'ppm' } }).sample;
		return codes({ ...request, earlierSamples: [{ ...earlier, date: '2023-10-01' }] });
	};
	it('a value near twice the last one', () => {
		expect(afterAnother(40, 20)).toContain('unit-slip');
		expect(afterAnother(30, 20)).not.toContain('unit-slip');
	});
	it('a target above the band of the crop', () => {
		expect(codes({ ...cornRequest(), targetPh: 7 })).toContain('target-above-band');
		expect(codes({ ...cornRequest(), targetPh: 6.8 })).not.toContain('target-above-band');
	});
	it('light ground, and metals that run short', () => {
		expect(codes(cornRequestWith({ CEC: { value: 6, unit: 'meq/100g' } }))).toContain('light-ground');
		expect(codes(cornRequest())).not.toContain('light-ground');
		expect(codes(cornRequestWith({ Zn: { method: 'dtpa', value: 0.6, unit: 'ppm' } }))).toContain('short-zn');
		expect(codes(cornRequestWith({ Zn: { method: 'dtpa', value: 0.9, unit: 'ppm' } }))).not.toContain('short-zn');
		const peat = cornRequestWith({ OM: { value: 30, unit: '%' } });
		expect(codes(peat)).toContain('ask-for-metals');
	});
});

describe('what is unusual is questioned, what is impossible refused', () => {
	const find = (request: AdviseRequest, code: string) => findings(request).find((one) => one.code === code);
	const withGoal = (yieldGoal: number) => ({ ...cornRequest(), crop: { ...cornRequest().crop, yieldGoal } });
	const withLayers = (...layers: AdviseRequest['sample']['layers']) => ({
		...cornRequest(),
		sample: { layers: [...cornRequest().sample.layers, ...layers] }
	});
	const nitrate = (top: number, bottom: number, ppm: number) => ({
		top,
		bottom,
		depthUnit: 'in' as const,
		results: [{ analyte: 'NO3-N' as const, value: ppm, unit: 'ppm' as const }]
	});

	it('the table is whole: every crop has its goals, every range is one', () => {
		const table = validator<Plausibility>('plausibility')(
			JSON.parse(readFileSync('packs/reference/plausibility.json', 'utf8'))
		);
		for (const { id } of library.crops) expect(table.goals[id], id).toBeDefined();
		for (const { usual, possible } of [...Object.values(table.goals), ...Object.values(table.analytes)]) {
			expect(possible[0]!).toBeLessThan(possible[1]!);
			if (usual) expect(usual[0]! >= possible[0]! && usual[1]! <= possible[1]!).toBe(true);
		}
	});
	it('a goal of 100,000 bu of corn is refused, 320 is questioned, 300 is not', () => {
		expect(() => findings(withGoal(100_000))).toThrow('/crop/yieldGoal must be 1 to 700 bu/ac for corn; got 100000');
		expect(find(withGoal(320), 'unusual-goal')).toMatchObject({ severity: 'mind' });
		expect(find(withGoal(300), 'unusual-goal')).toBeUndefined();
	});
	it('two areas that disagree are refused', () => {
		const of = (areaHa: number) => findings({ ...cornRequest(), field: { areaAcres: 40, areaHa } });
		expect(() => of(40)).toThrow('/field/areaHa must agree with areaAcres');
		expect(() => of(16.19)).not.toThrow();
	});
	it('organic soil has no lime by the lines of mineral soil, and no aluminium', () => {
		const acid = { method: 'water' as const, value: 4.4, unit: 'pH' as const };
		const peat = cornRequestWith({ OM: { value: 35, unit: '%' }, pH: acid });
		expect(codes(peat)).not.toContain('unusual-OM');
		expect(find(peat, 'aluminium')).toBeUndefined();
		expect(find(cornRequestWith({ pH: acid }), 'aluminium')).toBeDefined();
		const lime = advise(peat, library, '2026-11-20').rates.filter(({ nutrient }) => nutrient === 'lime');
		expect(lime.filter(({ applies }) => applies).map(({ method }) => method)).toEqual(['tri-state-1995/lime-organic']);
	});
	it('zinc below a limit of 1 ppm is not known to be short; below one of 0.5 ppm it is', () => {
		const zinc = (limit: number) =>
			cornRequestWith({ Zn: { value: limit, unit: 'ppm', method: 'dtpa', qualifier: '<' } });
		const rates = (limit: number) =>
			advise(zinc(limit), library, '2026-11-20').rates.filter((one) => one.nutrient === 'Zn');
		expect(codes(zinc(1))).toContain('unknown-zn');
		expect(codes(zinc(1))).not.toContain('short-zn');
		expect(codes(zinc(0.5))).toContain('short-zn');
		expect(rates(1).some(({ applies, reason }) => !applies && reason!.includes('cannot tell'))).toBe(true);
		expect(rates(1).filter(({ applies }) => applies)).toEqual([]);
		// Both ends of 0 to 0.5 ppm call for the same.
		expect(rates(0.5).some(({ applies, rate }) => applies && rate! > 0)).toBe(true);
	});
	it('a muck of 75 % is limed by its own line, holds nitrogen by no CEC, and is named', () => {
		const muck = (value: number) =>
			cornRequestWith({ OM: { value: 75, unit: '%' }, pH: { method: 'water', value, unit: 'pH' } });
		// E-2567 (1995), organic soils, from memory: 32.9 - 6.31 x pH, none from 5.3 up.
		const tons = (value: number) =>
			advise(muck(value), library, '2026-11-20').rates.find(({ method }) => method === 'tri-state-1995/lime-organic')!;
		expect(tons(4.6).rate).toBeCloseTo(32.9 - 6.31 * 4.6, 2);
		expect(tons(5.3).rate).toBe(0);
		expect(advise(muck(5), library, '2026-11-20').derived.holdingLimit).toBeNull();
		expect(codes(muck(5))).toEqual(expect.arrayContaining(['organic-soil', 'ph-low']));
		expect(codes(muck(5.4))).not.toContain('ph-low');
		expect([5.8, 5.9].map((ph) => codes(muck(ph)).includes('organic-soil-metals'))).toEqual([false, true]);
		for (const code of ['impossible-value', 'aluminium', 'no-buffer-ph']) expect(codes(muck(5))).not.toContain(code);
		// On mineral soil the line is refused.
		expect(
			advise(cornRequest(), library, '2026-11-20').rates.find(({ method }) => method.endsWith('lime-organic'))?.applies
		).toBe(false);
	});
	it.each([
		[
			'buffer-below-ph',
			{ bufferPh: { method: 'smp', value: 5.2, unit: 'pH' } },
			{ bufferPh: { method: 'smp', value: 5.7, unit: 'pH' } }
		],
		[
			'buffer-above-own',
			{ bufferPh: { method: 'mehlich', value: 6.9, unit: 'pH' } },
			{ bufferPh: { method: 'mehlich', value: 6.5, unit: 'pH' } }
		],
		[
			'too-much-b',
			{ B: { method: 'hot-water', value: 15, unit: 'ppm' } },
			{ B: { method: 'hot-water', value: 9, unit: 'ppm' } }
		],
		[
			'too-much-cu',
			{ Cu: { method: 'dtpa', value: 200, unit: 'ppm' } },
			{ Cu: { method: 'dtpa', value: 55, unit: 'ppm' } }
		],
		[
			'too-much-zn',
			{ Zn: { method: 'dtpa', value: 300, unit: 'ppm' } },
			{ Zn: { method: 'mehlich-3', value: 300, unit: 'ppm' } }
		],
		// Corn loses 12 % a dS/m above 1.7 in the extract, Maas and Hoffman 1977, from memory; 1:1 reads about half.
		['salinity', { EC: { value: 2.5, unit: 'dS/m' } }, { EC: { value: 0.85, unit: 'dS/m' } }],
		['unusual-EC', { EC: { value: 4.5, unit: 'dS/m' } }, { EC: { value: 3.9, unit: 'dS/m' } }],
		[
			'unusual-P',
			{ P: { method: 'bray-p1', value: 190, unit: 'ppm' } },
			{ P: { method: 'bray-p1', value: 140, unit: 'ppm' } }
		]
	] as const)('%s', (code, wrong, right) => {
		expect(find(cornRequestWith(wrong), code)).toMatchObject({ severity: 'mind' });
		expect(find(cornRequestWith(right), code)).toBeUndefined();
	});
	it('soil above the pH of its buffer: Mehlich 6.58 at pH 6.9 is right', () => {
		const limed = { pH: { method: 'water', value: 6.9, unit: 'pH' } } as const;
		const mehlich = cornRequestWith({ ...limed, bufferPh: { method: 'mehlich', value: 6.58, unit: 'pH' } });
		expect(find(mehlich, 'buffer-below-ph')).toBeUndefined();
		expect(
			find(cornRequestWith({ ...limed, bufferPh: { method: 'smp', value: 6.58, unit: 'pH' } }), 'buffer-below-ph')
		).toBeDefined();
	});
	it('too much for this crop, this acid, by both kinds of extract', () => {
		const bean = (ppm: number) => ({
			...cornRequestWith({ B: { method: 'hot-water', value: ppm, unit: 'ppm' } }),
			crop: { id: 'soybean' as const, yieldGoal: 50 }
		});
		expect(find(bean(6), 'too-much-b')?.text).toContain('Boron 6 ppm, above 5');
		expect(find(bean(4), 'too-much-b')).toBeUndefined();
		const manganese = (pH: number) =>
			cornRequestWith({
				pH: { method: 'water', value: pH, unit: 'pH' },
				Mn: { method: 'dtpa', value: 400, unit: 'ppm' }
			});
		expect(find(manganese(5.2), 'too-much-mn')?.remedy).toContain('Lime');
		expect(find(manganese(6.2), 'too-much-mn')).toBeUndefined();
		const salty = find(cornRequestWith({ EC: { value: 3, unit: 'dS/m' } }), 'salinity')!;
		expect(salty.text).toMatch(/about 16 % .* about 52 %/);
	});
	it('leaves with more boron or metal than a crop takes up', () => {
		const leaf = (results: object): AdviseRequest => ({
			...cornRequest(),
			crop: {
				id: 'apple',
				yieldGoal: 20,
				block: { plantedYear: 2015 },
				blockYear: { leaf: { part: 'mid-shoot leaves', takenOn: '2026-07-20', ...results } }
			}
		});
		expect(codes(leaf({ B: 90, Mn: 520, Zn: 900 }))).toEqual(
			expect.arrayContaining(['leaf-too-much-b', 'leaf-too-much-mn', 'leaf-too-much-zn'])
		);
		expect(codes(leaf({ B: 75, Mn: 400, Zn: 150 })).filter((code) => code.startsWith('leaf-too-much'))).toEqual([]);
	});
	it('clay that the named texture has not', () => {
		const of = (percent: number) => ({
			...cornRequestWith({ clay: { value: percent, unit: '%' } }),
			field: { textureClass: 'silt loam' as const }
		});
		expect(find(of(38), 'texture-against-clay')?.text).toContain('38 % clay does not go with silt loam (0 to 27 %)');
		expect(find(of(22), 'texture-against-clay')).toBeUndefined();
	});
	it('overlapping layers, nitrate from below alone, and much of it beside rates that do not see it', () => {
		expect(find(withLayers(nitrate(0, 12, 5), nitrate(6, 18, 5)), 'overlapping-layers')?.text).toContain(
			'both give nitrate-N'
		);
		expect(find(withLayers(nitrate(0, 12, 5), nitrate(12, 24, 5)), 'overlapping-layers')).toBeUndefined();
		expect(find(withLayers(nitrate(24, 36, 5)), 'nitrate-from-below')).toBeDefined();
		expect(find(withLayers(nitrate(0, 24, 5)), 'nitrate-from-below')).toBeUndefined();
		expect(find(withLayers(nitrate(0, 24, 45)), 'much-nitrate')?.text).toContain('324 lb of mineral N');
		expect(find(withLayers(nitrate(0, 24, 20)), 'much-nitrate')).toBeUndefined();
	});
	it('a sample of tomorrow, and a test of another year', () => {
		expect(find(sampled('2026-11-21'), 'sample-in-future')).toBeDefined();
		expect(find(sampled('2026-11-20'), 'sample-in-future')).toBeUndefined();
		const tested = (date: string) => ({
			...cornRequest(),
			inSeason: { nitrate: { date, nitratePpm: 12, depthIn: 12 } }
		});
		expect(find(tested('2025-06-05'), 'test-of-other-year')).toBeDefined();
		expect(find(tested('2026-06-05'), 'test-of-other-year')).toBeUndefined();
	});
	it('pH too low and targets too high on either scale, for every crop', () => {
		const chloride = (value: number) => cornRequestWith({ pH: { method: 'cacl2', value, unit: 'pH' } });
		expect(find(chloride(4.9), 'ph-low')?.text).toContain('pH 4.9 in CaCl2 is low for most crops');
		expect(find(chloride(5.6), 'ph-low')).toBeUndefined();
		const aimed = (targetPh: number) => ({ ...chloride(4.9), targetPh, targetPhScale: 'cacl2' as const });
		expect(find(aimed(6.4), 'target-above-band')?.text).toContain('above 6.3');
		expect(find(aimed(6.2), 'target-above-band')).toBeUndefined();
		const flax = { ...cornRequest(), crop: { id: 'flax' as const, yieldGoal: 30 }, targetPh: 7.4 };
		expect(find(flax, 'target-above-band')?.text).toContain('above 7');
	});
});
