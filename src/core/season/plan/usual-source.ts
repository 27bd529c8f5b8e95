import type { Product } from '../../schema-types';

/** The first dry product that is urea and nothing else; undefined where the catalogue has none. */
export function plainUrea(products: readonly Product[]): Product | undefined {
	return products.find(
		({ state, analysis, nitrogenForms, slowRelease }) =>
			state === 'dry' && !slowRelease && nitrogenForms?.urea === 100 && Object.keys(analysis).join() === 'N'
	);
}

/** The first dry product whose sulfur is sulfate and its main part, without N, P or K. */
export function plainSulfate(products: readonly Product[]): Product | undefined {
	return products.find(
		({ state, sulfurForm, analysis: { S = 0, N, P2O5, K2O, Zn, Mn, Cu } }) =>
			state === 'dry' && sulfurForm === 'sulfate' && S > 0 && !N && !P2O5 && !K2O && !Zn && !Mn && !Cu
	);
}
