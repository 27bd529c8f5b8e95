import type { Product } from '../../schema-types';

/** So much of its nitrogen as nitrate and as ammonium makes a product ammonium nitrate, %: judgement. */
const LEAST_OF_EACH = 20;

/** Pairs of products that do not go into one mix or tank, by id. Common practice; a jar test and the label say more. */
export function apartPairs(products: readonly Product[]): [string, string][] {
	return products.flatMap((a, at) =>
		products.slice(at + 1).flatMap((b) => (clash(a, b) || clash(b, a) ? [[a.id, b.id] satisfies [string, string]] : []))
	);
}

function isAmmoniumNitrate({ state, nitrogenForms }: Product): boolean {
	if (state !== 'dry' || !nitrogenForms) return false;
	return Math.min(nitrogenForms.nitrate, nitrogenForms.ammonium) >= LEAST_OF_EACH;
}

function clash(a: Product, b: Product): boolean {
	const urea = (a.nitrogenForms?.urea ?? 0) > 0 && a.state === 'dry';
	// Urea with ammonium nitrate turns to slush, whoever's product it is.
	if (urea && isAmmoniumNitrate(b)) return true;
	// Calcium nitrate makes gypsum with sulfates and rock with phosphates.
	const calcium = a.hazards.includes('oxidiser') && (a.analysis.Ca ?? 0) > 0;
	if (calcium && ((b.analysis.S ?? 0) > 0 || (b.analysis.P2O5 ?? 0) > 0)) return true;
	// An acid frees sulfur dioxide from a thiosulfate.
	return a.hazards.includes('acid') && b.sulfurForm === 'thiosulfate';
}
