import { describe, expect, it } from 'vitest';
import type { AdviseRequest, Finding } from '../../schema-types';
import { cornRequest, cornRequestWith, library } from '../../testing.test-help';
import { siteOf } from '../../rates/advise';
import { cationExchangeCapacity } from '../cec';
import { readReport } from './read-report';

function findings(request: AdviseRequest): Finding[] {
	const site = siteOf(request, library.crops, '2026-11-20');
	return readReport({ site, cec: cationExchangeCapacity(site.layers), packs: library.packs });
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

	it('sample older than three years, two on sand, one in an orchard', () => {
		expect(codes(sampled('2023-10-12'))).toContain('old-sample');
		expect(codes(sampled('2023-11-30'))).not.toContain('old-sample');
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
		expect(codes(withNitrate('2026-10-20'))).toContain('old-nitrate');
		expect(codes(withNitrate('2026-10-21'))).not.toContain('old-nitrate');
		expect(codes(sampled('2026-10-12'))).not.toContain('old-nitrate');
	});

	it('values that cannot be true, which are then not used', () => {
		const twelve = cornRequestWith({ pH: { method: 'water', value: 12, unit: 'pH' } });
		expect(findings(twelve)[0]).toMatchObject({ code: 'impossible-value', severity: 'stop' });
		expect(codes(cornRequestWith({ pH: { method: 'water', value: 10, unit: 'pH' } }))).not.toContain(
			'impossible-value'
		);
		expect(codes(cornRequestWith({ OM: { value: 61, unit: '%' } }))).toContain('impossible-value');
		expect(codes(cornRequestWith({ OM: { value: 610, unit: 'g/kg' } }))).toContain('impossible-value');
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
		expect(at(7.4)).toContain('ph-high');
		expect(at(7.3)).not.toContain('ph-high');
	});

	it('pH on the CaCl2 scale alone, which is then held against nothing', () => {
		const chloride = cornRequestWith({ pH: { method: 'cacl2', value: 5.2, unit: 'pH' } });
		expect(codes(chloride)).toContain('ph-other-scale');
		expect(codes(chloride)).not.toContain('ph-low');
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
	const all = findings(cornRequestWith({ CEC: undefined, OM: { value: 80, unit: '%' } }));
	expect(all[0]?.severity).toBe('stop');
	expect(all.at(-1)?.severity).toBe('note');
	for (const { remedy } of all) expect(remedy.length).toBeGreaterThan(10);
});
