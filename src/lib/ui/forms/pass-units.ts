import type { Pass } from '$core/schema-types';

/** What the forms need to know of a product to offer units for its rate. */
export interface MeasuredProduct {
	isLime: boolean;
	/** It has a density, so that its rate can be given in gallons. */
	liquid: boolean;
}

/** The units that a rate of a product is given in, the usual one first. */
export function passUnits({ isLime, liquid }: MeasuredProduct): Pass['unit'][] {
	if (isLime) return ['short ton/ac'];
	return liquid ? ['gal/ac', 'lb/ac'] : ['lb/ac', 'short ton/ac'];
}
