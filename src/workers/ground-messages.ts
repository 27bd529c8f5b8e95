import type { Shape } from '$core/ground/shapes/shape';
import type { PlacedPoint } from '$core/schema-types';
import type { SurfaceMethod } from '$core/zones/surface/surface';
import type { ZoneCount } from '$core/zones/shapes/cell-zones';
import type { Variogram, VariogramBin } from '$core/zones/surface/variogram';

/** A surface of one layer, or zones of several, over a field. A later request takes the place of an earlier one. */
export type GroundMessage = { id: number; boundary: Shape; cellM: number } & (
	| { kind: 'surface'; points: PlacedPoint[]; method: SurfaceMethod }
	| { kind: 'grid' }
	| { kind: 'zones'; layers: PlacedPoint[][]; zones: number | undefined; leastAcres: number }
);

/** What of a surface the page shows. */
export interface ShownSurface {
	method: SurfaceMethod;
	points: number;
	leaveOneOutError: number;
	standardDeviation: number;
	cautions: string[];
	variogram?: { fitted: Variogram; measured: VariogramBin[] };
	/** The cells as a picture's corners in degrees: west, south, east, north. */
	columns: number;
	rows: number;
	bounds: [number, number, number, number];
	values: Float64Array;
}

export type GroundReply =
	| { id: number; kind: 'surface'; surface: ShownSurface }
	| { id: number; kind: 'zones'; shapes: Shape[]; counts: ZoneCount[]; suggested: number }
	| { id: number; kind: 'grid'; squares: { name: string; shape: Shape }[] }
	| { id: number; kind: 'problem'; problem: string };
