import type { Curve, CurveCoefficients, ResponseModelName } from '../../../../schema-types';
import { linearPlateau } from './linear-plateau';
import { mitscherlich } from './mitscherlich';
import { quadratic } from './quadratic';
import { quadraticPlateau } from './quadratic-plateau';
import type { Coefficients, ResponseModel } from './response-model';

/** The shapes of a yield response, the usual one first: it wins a tie. */
export const responseModels: readonly ResponseModel[] = [quadraticPlateau, quadratic, linearPlateau, mitscherlich];

export function responseModel(name: ResponseModelName): ResponseModel {
	return responseModels.find((model) => model.name === name)!;
}

/** A curve's coefficients in the order of its model. */
export function coefficientsOf({ model, coefficients }: Curve): Coefficients {
	const { a, b, c, join } = coefficients;
	return Float64Array.of(a, b, (model === 'linear-plateau' ? join : c) ?? NaN);
}

/** The same by their names. */
export function namedCoefficients({ names }: ResponseModel, p: Coefficients): CurveCoefficients {
	return Object.fromEntries(names.map((name, at) => [name, p[at]!])) as unknown as CurveCoefficients;
}
