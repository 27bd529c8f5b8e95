import { coefficientsOf, responseModel } from '$core/rates/nitrogen/response/shapes/models';
import type { Curve, ResponseModelName } from '$core/schema-types';

export const MODEL_NAMES: Record<ResponseModelName, string> = {
	'quadratic-plateau': 'Quadratic with plateau',
	quadratic: 'Quadratic',
	'linear-plateau': 'Straight line with plateau',
	mitscherlich: 'Mitscherlich'
};

/** A curve as one line: its shape and its coefficients to five digits. */
export function curveText(curve: Curve): string {
	const { names, formula } = responseModel(curve.model);
	const p = coefficientsOf(curve);
	const values = names.map((name, at) => `${name} ${significant(p[at]!)}`);
	return `${MODEL_NAMES[curve.model]}: ${formula}; ${values.join(', ')}.`;
}

/** Five significant digits: enough to draw the same curve again. */
export function significant(value: number): string {
	return String(Number(value.toPrecision(5)));
}

/** A crop's id in words. */
export function cropWords(id: string): string {
	return id.replace('-', ' ');
}

/** A short name for an address, from a title. */
export function idFrom(title: string): string {
	return title
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '')
		.slice(0, 60);
}
