import { InputError, type Problem } from '../../check/problem';
import type { ResponseCurve } from '../../schema-types';
import { coefficientsOf, responseModel } from './response/shapes/models';

/**
 * What no schema sees of a response curve: the coefficients its model needs, a range that is one, and a shape that
 * has an optimum at all.
 * @param path of the curve in the request
 * @throws InputError naming the coefficient, what was given and what would be right
 */
export function checkCurve(curve: ResponseCurve, path: string): ResponseCurve {
	const problems = [...rangeProblems(curve, path), ...shapeProblems(curve, path)];
	if (problems.length > 0) throw new InputError(problems);
	return curve;
}

function rangeProblems({ lowestRate, highestRate }: ResponseCurve, path: string): Problem[] {
	if (highestRate > lowestRate) return [];
	const message = `must be above the lowest tested rate of ${lowestRate}; got ${highestRate}`;
	return [{ path: `${path}/highestRate`, message }];
}

function shapeProblems({ curve: { model, coefficients } }: ResponseCurve, path: string): Problem[] {
	const at = (name: string) => `${path}/curve/coefficients/${name}`;
	const { names } = responseModel(model);
	const [, , third] = names;
	const known: Partial<Record<string, number>> = { ...coefficients };
	if (known[third] === undefined) {
		return [{ path: at(third), message: `must be given: the ${model} curve stands on ${names.join(', ')}` }];
	}
	const extra = third === 'c' ? 'join' : 'c';
	if (known[extra] !== undefined) {
		return [{ path: at(extra), message: `must be left out: the ${model} curve has none` }];
	}
	const wrong = wrongSign(model, coefficientsOf({ model, coefficients }));
	return wrong ? [{ path: at(wrong.name), message: wrong.message }] : [];
}

function wrongSign(model: ResponseCurve['curve']['model'], [, b, last]: Float64Array) {
	if (!(b! > 0)) return { name: 'b', message: `must be above 0, so that yield rises with nitrogen; got ${b}` };
	const bends = model === 'quadratic' || model === 'quadratic-plateau';
	if (bends && !(last! < 0)) {
		return { name: 'c', message: `must be below 0, so that the curve has a highest point; got ${last}` };
	}
	if (bends || last! > 0) return undefined;
	const name = model === 'linear-plateau' ? 'join' : 'c';
	return { name, message: `must be above 0; got ${last}` };
}
