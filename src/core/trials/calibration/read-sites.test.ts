import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { answerCalibrate } from './answer-calibrate';
import { readSites } from './read-sites';

describe('sites of a pasted table', () => {
	it('by their headings: relative yield, or yields without and with plenty', () => {
		expect(readSites('soil test,RY,farm\n8,62,North\n14,85,')).toEqual({
			sites: [
				{ soilTest: 8, relativeYield: 62, site: 'North' },
				{ soilTest: 14, relativeYield: 85 }
			],
			faults: []
		});
		expect(readSites('P ppm;check;plenty\n8;90;180').sites).toEqual([{ soilTest: 8, relativeYield: 50 }]);
		expect(readSites('test,without,with\n8,90,120').sites).toEqual([{ soilTest: 8, relativeYield: 75 }]);
	});
	it('without headings in their order; notes and empty lines are passed over', () => {
		expect(readSites('# own\n8, 62, North\n\n9, 70').sites).toHaveLength(2);
		expect(readSites('')).toEqual({ sites: [], faults: [] });
	});
	it('a line that cannot be read is named with what would be right', () => {
		expect(readSites('test,relative yield\n0,62\n8,lots\n9,70').faults).toEqual([
			'line 2: the test must be a number above 0 to 1000000; got “0”',
			'line 3: the relative yield must be a number from 0 to 200; got “lots”'
		]);
		expect(readSites('depth,colour\nx,y').faults[0]).toMatch(/must name a test, and a relative yield/);
		expect(readSites('test,check,plenty\n8,90,0').faults[0]).toMatch(/yield with plenty must be a number above 0/);
	});
	it('the twenty sites of the demo give five critical values about the 16 ppm they were made with', () => {
		const { sites, faults } = readSites(readFileSync('demo/trials/phosphorus-sites.csv', 'utf8'));
		expect([sites.length, faults]).toEqual([20, []]);
		const { fits } = answerCalibrate({ observations: sites });
		const line = fits.find(({ model }) => model === 'linear-plateau')!;
		expect(line.critical).toBeGreaterThan(14);
		expect(line.critical).toBeLessThan(18);
		for (const { critical, interval } of fits) {
			expect(interval![0]).toBeLessThanOrEqual(critical!);
			expect(interval![1]).toBeGreaterThanOrEqual(critical!);
		}
	});
});
