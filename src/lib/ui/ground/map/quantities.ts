import type { LayerQuantity } from '$core/schema-types';

/** What a layer may be of, in words, with the unit that it usually comes in. */
export const QUANTITIES: readonly { id: LayerQuantity; text: string; unit: string; words: RegExp }[] = [
	{ id: 'yield', text: 'yield', unit: 'bu/ac', words: /yield|yld|dry.?bu/i },
	{ id: 'grain moisture', text: 'grain moisture', unit: '%', words: /moist|h2o/i },
	{ id: 'canopy index', text: 'canopy index', unit: '', words: /ndvi|ndre|canopy|index/i },
	{
		id: 'conductivity',
		text: 'soil conductivity',
		unit: 'mS/m',
		words: /conduct|\bec[a_]?\b|ec_?(sh|dp|deep|shallow)/i
	},
	{ id: 'elevation', text: 'elevation', unit: 'm', words: /elev|height|altitude/i },
	{ id: 'pH', text: 'soil pH', unit: 'pH', words: /^ph\b|soil.?ph/i },
	{ id: 'bufferPh', text: 'buffer pH', unit: 'pH', words: /buffer|bph/i },
	{ id: 'P', text: 'P by soil test', unit: 'ppm', words: /^p\b|phos|bray|olsen/i },
	{ id: 'K', text: 'K by soil test', unit: 'ppm', words: /^k\b|potas/i },
	{ id: 'Mg', text: 'Mg', unit: 'ppm', words: /^mg\b|magnes/i },
	{ id: 'Ca', text: 'Ca', unit: 'ppm', words: /^ca\b|calc/i },
	{ id: 'OM', text: 'organic matter', unit: '%', words: /^om\b|organic/i },
	{ id: 'CEC', text: 'CEC', unit: 'meq/100 g', words: /^cec\b/i },
	{ id: 'other', text: 'something else', unit: '', words: /^$/ }
];

/** What a column is by its name; something else where the name says nothing. */
export function guessQuantity(column: string): LayerQuantity {
	return QUANTITIES.find(({ words }) => words.test(column))?.id ?? 'other';
}

export function usualUnit(quantity: LayerQuantity): string {
	return QUANTITIES.find(({ id }) => id === quantity)!.unit;
}
