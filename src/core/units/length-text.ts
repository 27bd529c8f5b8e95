import type { Layer } from '../schema-types';
import { formatNumber } from './display';
import { unitInSystem, valueInSystem, type UnitSystem } from './rate-units';

/** A length over ground as the reader measures it: "60 ft", or "18.3 m". */
export function lengthText(feet: number, units: UnitSystem): string {
	const unit = unitInSystem('ft', units);
	return `${formatNumber(Math.round(10 * valueInSystem(feet, 'ft', units)) / 10, 'length')} ${unit}`;
}

/** Depths in the ground, from one to another: "0-8 in", or "0-20 cm". */
export function depthText(topIn: number, bottomIn: number, units: UnitSystem): string {
	const unit = unitInSystem('in', units);
	const shown = (inches: number) => formatNumber(valueInSystem(inches, 'in', units), unit);
	return `${shown(topIn)}-${shown(bottomIn)} ${unit}`;
}

/** The same of a layer as it was written down; readers of metric units see inches in cm. */
export function layerText(
	{ top, bottom, depthUnit }: Pick<Layer, 'top' | 'bottom' | 'depthUnit'>,
	units: UnitSystem
): string {
	return units === 'metric' && depthUnit === 'in' ? depthText(top, bottom, units) : `${top}-${bottom} ${depthUnit}`;
}
