import { expect, it } from 'vitest';
import { layOut } from '../../../../core/trials/design/lay-out';
import { QUARTER, RATES } from '../../../../core/trials/trial.test-help';
import { plotMapSvg } from './plot-map-svg';

const plots = layOut(RATES, QUARTER);
const svg = plotMapSvg({ plan: RATES, plots, records: [] }, QUARTER, 500, 400);

it('draws the field and every plot inside the box, each with its number and code', () => {
	expect(svg.match(/<polygon/g)).toHaveLength(1 + plots.length);
	for (const { plot, levels } of plots) {
		const code = 'ABCDEF'[RATES.factors[0]!.levels.indexOf(levels['N rate']!)]!;
		expect(svg).toContain(`>${plot} ${code}</text>`);
	}
	const points = [...svg.matchAll(/points="([^"]+)"/g)].flatMap(([, list]) => list!.split(/[ ,]/).map(Number));
	expect(Math.min(...points)).toBeGreaterThanOrEqual(0);
	expect(Math.max(...points.filter((_, at) => at % 2 === 0))).toBeLessThanOrEqual(500);
	expect(Math.max(...points.filter((_, at) => at % 2 === 1))).toBeLessThanOrEqual(400);
});
it('writes along the plots, never upside down, and leaves out what could not be read', () => {
	const turned = layOut({ ...RATES, headingDegrees: 200 - 180 + 130 }, QUARTER);
	const angles = [
		...plotMapSvg({ plan: RATES, plots: turned, records: [] }, QUARTER, 500, 400).matchAll(/rotate\((-?[\d.]+)\)/g)
	];
	expect(angles).toHaveLength(plots.length);
	for (const [, degrees] of angles) expect(Math.abs(Number(degrees))).toBeLessThanOrEqual(90);
	expect(plotMapSvg({ plan: RATES, plots, records: [] }, QUARTER, 60, 50)).not.toContain('<text');
});
it('greys go from white to a grey on which black is read', () => {
	expect(svg).toContain('fill="rgb(255,255,255)"');
	expect(svg).toContain('fill="rgb(165,165,165)"');
});
