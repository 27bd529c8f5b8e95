// Surfaces and zones of a field, away from the page.
import { messageOf } from '$core/check/message-of';
import { groupCells, zoneCounts } from '$core/zones/shapes/cell-zones';
import { gridOf } from '$core/zones/surface/field-grid';
import { gridZones } from '$core/zones/shapes/grid-zones';
import { mergeSlivers } from '$core/zones/shapes/merge-slivers';
import { layerSurface } from '$core/zones/surface/layer-surface';
import { zoneShapes } from '$core/zones/shapes/zone-shapes';
import { M2_PER_ACRE } from '$core/units/factors';
import type { GroundMessage, GroundReply } from './ground-messages';

self.onmessage = ({ data }: MessageEvent<GroundMessage>) => {
	try {
		self.postMessage(answer(data));
	} catch (error) {
		self.postMessage({ id: data.id, kind: 'problem', problem: messageOf(error) } satisfies GroundReply);
	}
};

function answer(message: GroundMessage): GroundReply {
	const { id, boundary, cellM } = message;
	if (message.kind === 'grid') return { id, kind: 'grid', squares: gridZones(boundary, cellM) };
	const grid = gridOf(boundary, cellM);
	if (message.kind === 'surface') {
		const surface = layerSurface(message.points, boundary, grid, message.method);
		if (typeof surface === 'string') return { id, kind: 'problem', problem: surface };
		const [west, south] = grid.plane.toDegrees(grid.west, grid.south);
		const [east, north] = grid.plane.toDegrees(grid.west + grid.columns * cellM, grid.south + grid.rows * cellM);
		const { columns, rows } = grid;
		return { id, kind: 'surface', surface: { ...surface, columns, rows, bounds: [west, south, east, north] } };
	}
	const layers = message.layers.map((all) => {
		const surface = layerSurface(all, boundary, grid);
		if (typeof surface === 'string') throw new RangeError(surface);
		return surface.values;
	});
	const { counts, suggested } = zoneCounts(layers, grid);
	const zones = groupCells(layers, grid, message.zones ?? suggested);
	const leastCells = Math.ceil((message.leastAcres * M2_PER_ACRE) / cellM ** 2);
	const shapes = zoneShapes(mergeSlivers(zones, grid, leastCells), grid, boundary);
	return { id, kind: 'zones', shapes: [...shapes.values()], counts, suggested };
}
