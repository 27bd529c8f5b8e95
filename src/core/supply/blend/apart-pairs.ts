import type { Product } from '../../schema-types';

/** So much of its nitrogen as nitrate and as ammonium makes a product ammonium nitrate, %: judgement. */
const LEAST_OF_EACH = 20;

/** Pairs of products that do not go into one mix or tank, by id. Common practice; a jar test and the label say more. */
export function apartPairs(products: readonly Product[]): [string, string][] {
	return products.flatMap((a, at) =>
		products.slice(at + 1).flatMap((b) => (whyApart(a, b) ? [[a.id, b.id] satisfies [string, string]] : []))
	);
}

/** What comes of two products in one mix or tank; undefined where they go together. */
export function whyApart(a: Product, b: Product): string | undefined {
	return clash(a, b) ?? clash(b, a);
}

function isAmmoniumNitrate({ state, nitrogenForms }: Product): boolean {
	if (state !== 'dry' || !nitrogenForms) return false;
	return Math.min(nitrogenForms.nitrate, nitrogenForms.ammonium) >= LEAST_OF_EACH;
}

function clash(a: Product, b: Product): string | undefined {
	const urea = (a.nitrogenForms?.urea ?? 0) > 0;
	if (urea && a.state === 'dry' && isAmmoniumNitrate(b)) return 'urea with ammonium nitrate turns to slush';
	const calciumNitrate = a.hazards.includes('oxidiser') && (a.analysis.Ca ?? 0) > 0;
	if (calciumNitrate && (b.analysis.S ?? 0) > 0) return 'its calcium falls out with sulfate as gypsum';
	if (calciumNitrate && (b.analysis.P2O5 ?? 0) > 0) return 'its calcium falls out with phosphate';
	const acid = b.hazards.includes('acid');
	if (acid && calciumNitrate) return 'no acid goes into a tank with calcium nitrate';
	if (acid && a.sulfurForm === 'thiosulfate') return 'acid frees sulfur dioxide from thiosulfate';
	return acid && b.hazards.includes('oxidiser') && urea ? 'nitric acid with urea may explode' : undefined;
}
