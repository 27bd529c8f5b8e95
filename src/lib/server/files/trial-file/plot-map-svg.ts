import { partsOf, type Shape } from '../../../../core/ground/shapes/shape';
import type { TrialRecord } from '../../../../core/schema-types';
import { treatmentOf } from '../../../../core/trials/analysis/plots';
import { driveFrame } from '../../../../core/trials/design/drive-frame';
import { treatmentCodes } from '../../../../core/trials/design/treatment-codes';

/** What is left white around the ground, share of the box. */
const MARGIN = 0.03;
const MOST_TEXT_PT = 11;
const LEAST_TEXT_PT = 3.5;
/** Of a glyph, to its size. */
const GLYPH = 0.62;
/** The darkest plot; black on it can still be read. */
const DARKEST = 165;

/** The plots of a trial in their field, north up, each with number and code of its treatment: black on white with greys. */
export function plotMapSvg({ plan, plots }: TrialRecord, field: Shape, width: number, height: number): string {
	const frame = driveFrame(field, 0);
	const all = partsOf(field).flat(2).map(frame.toFrame);
	const [west, east] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
	const [south, north] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))];
	const scale = Math.min((width * (1 - 2 * MARGIN)) / (east - west), (height * (1 - 2 * MARGIN)) / (north - south));
	const [left, top] = [(width - scale * (east - west)) / 2, (height - scale * (north - south)) / 2];
	const at = (position: number[]): [number, number] => {
		const [x, y] = frame.toFrame(position);
		return [left + (x - west) * scale, top + (north - y) * scale];
	};
	const points = (ring: readonly number[][]) =>
		ring
			.map((corner) =>
				at(corner)
					.map((one) => one.toFixed(2))
					.join(',')
			)
			.join(' ');
	const codes = treatmentCodes(plan);
	const order = [...codes.keys()];
	const grey = (treatment: string) => {
		const share = order.length < 2 ? 0 : order.indexOf(treatment) / (order.length - 1);
		const level = Math.round(255 - share * (255 - DARKEST));
		return `rgb(${level},${level},${level})`;
	};
	const outline = partsOf(field)
		.flat()
		.map((ring) => `<polygon points="${points(ring)}" fill="none" stroke="black" stroke-width="1"/>`);
	const drawn = plots.map((plot) => {
		const ring = partsOf(plot.shape as Shape)[0]![0]!;
		const [first, second, third, fourth] = ring.map(at) as [
			[number, number],
			[number, number],
			[number, number],
			[number, number]
		];
		const wide = Math.hypot(second[0] - first[0], second[1] - first[1]);
		const long = Math.hypot(fourth[0] - first[0], fourth[1] - first[1]);
		// Written along the plot, and never upside down.
		const [from, to] = long > wide ? [first, fourth] : [first, second];
		const degrees = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
		const upright = degrees > 90 ? degrees - 180 : degrees <= -90 ? degrees + 180 : degrees;
		const label = `${plot.plot} ${codes.get(treatmentOf(plot))!}`;
		const size = Math.min(MOST_TEXT_PT, Math.min(wide, long) * 0.8, Math.max(wide, long) / (label.length * GLYPH));
		const middle = [(first[0] + third[0]) / 2, (first[1] + third[1]) / 2];
		const text =
			size < LEAST_TEXT_PT
				? ''
				: `<text x="0" y="${(size * 0.35).toFixed(2)}" font-size="${size.toFixed(2)}" text-anchor="middle" transform="translate(${middle.map((one) => one!.toFixed(2)).join(' ')}) rotate(${upright.toFixed(2)})">${label}</text>`;
		return `<polygon points="${points(ring)}" fill="${grey(treatmentOf(plot))}" stroke="black" stroke-width="0.5"/>${text}`;
	});
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="Hyperlegible">${outline.join('')}${drawn.join('')}</svg>`;
}
