import type { Curve, CurveCoefficients, ResponseModelName } from '../../../../schema-types';
import { keysOf } from '../../../../check/typed-object';

/** How many of another unit are one of the curve's: of nitrogen, and of yield. */
export interface CurveScale {
	perRate: number;
	perYield: number;
}

/** By what a coefficient of a shape, or its standard error, grows with the units of nitrogen and yield. */
export function coefficientScale(
	model: ResponseModelName,
	name: keyof CurveCoefficients,
	{ perRate, perYield }: CurveScale
): number {
	if (name === 'a') return perYield;
	if (name === 'join') return perRate;
	const isShare = model === 'mitscherlich';
	if (name === 'b') return isShare ? perYield : perYield / perRate;
	return isShare ? 1 / perRate : perYield / perRate ** 2;
}

/** The same curve with nitrogen and yield counted in other units. */
export function scaledCurve({ model, coefficients }: Curve, scale: CurveScale): Curve {
	const scaled = { ...coefficients };
	for (const name of keysOf(coefficients)) {
		const value = coefficients[name];
		if (value !== undefined) scaled[name] = value * coefficientScale(model, name, scale);
	}
	return { model, coefficients: scaled };
}
