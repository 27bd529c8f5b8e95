import type { Position } from 'geojson';
import { planeAt } from '../../ground/shapes/local-plane';
import { partsOf, type Shape } from '../../ground/shapes/shape';
import type { TrialPlot } from '../../schema-types';
import { FT_PER_M } from '../../units/factors';

/** A plot as the combine drives it: along its length, from its first corner. */
export interface PlotFrame {
	widthFt: number;
	lengthFt: number;
	/** Feet across from the first corner, and feet along. */
	at: (position: Position) => { across: number; along: number };
}

/** The frame of a plot. Its corners stand as they are laid out: the second is across from the first, the fourth along. */
export function plotFrame({ shape }: Pick<TrialPlot, 'shape'>): PlotFrame {
	const [first, second, , fourth] = partsOf(shape as Shape)[0]![0]! as [Position, Position, Position, Position];
	const plane = planeAt(first[0]!, first[1]!);
	const [[ax, ay], [bx, by]] = [plane.toMetres(second), plane.toMetres(fourth)];
	const [width, length] = [Math.hypot(ax, ay), Math.hypot(bx, by)];
	return {
		widthFt: width * FT_PER_M,
		lengthFt: length * FT_PER_M,
		at: (position) => {
			const [x, y] = plane.toMetres(position);
			return {
				across: ((x * ax + y * ay) / width) * FT_PER_M,
				along: ((x * bx + y * by) / length) * FT_PER_M
			};
		}
	};
}
