import type { Position } from 'geojson';
import { insideTest } from '$core/ground/shapes/inside';
import { partsOf, type Shape } from '$core/ground/shapes/shape';

/** A shape as lines of longitude and latitude, for those who type rather than draw. */
export function cornersText(shape: Shape | undefined): string {
	if (!shape) return '';
	const rings = partsOf(shape).flat();
	return rings
		.map((ring) =>
			ring
				.slice(0, -1)
				.map(([x, y]) => `${x}, ${y}`)
				.join('\n')
		)
		.join('\n\n');
}

/** The shape behind such lines: a ring inside the one before it is a hole, any other a part. In words what is wrong. */
export function shapeOfCorners(text: string): Shape | string {
	const parts: Position[][][] = [];
	for (const block of text.trim().split(/\n\s*\n/)) {
		const ring: Position[] = [];
		for (const line of block.split('\n').filter((one) => one.trim() !== '')) {
			const [x, y, ...more] = line
				.split(/[,;\s]+/)
				.filter(Boolean)
				.map(Number);
			if (x === undefined || y === undefined || more.length > 0 || !Number.isFinite(x) || !Number.isFinite(y)) {
				return `“${line.trim()}” must be a longitude and a latitude, such as -93.62, 42.03.`;
			}
			ring.push([x, y]);
		}
		if (ring.length < 3) return 'A boundary needs at least three corners.';
		ring.push(ring[0]!);
		const last = parts.at(-1);
		if (last && insideTest({ type: 'Polygon', coordinates: [last[0]!] })(ring[0]!)) last.push(ring);
		else parts.push([ring]);
	}
	return parts.length === 1
		? { type: 'Polygon', coordinates: parts[0]! }
		: { type: 'MultiPolygon', coordinates: parts };
}
