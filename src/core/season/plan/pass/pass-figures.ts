import { keysOf } from '../../../check/typed-object';
import { figure, notApplicable, type Answer, type Figure } from '../../../figure/figure';
import type { Nutrient, Pass, Product } from '../../../schema-types';
import { LB_PER_SHORT_TON } from '../../../units/factors';
import { overTheField, passNutrientFigure, poundsWhereItGoes } from './pass-nutrients';

/** Product per acre of the ground that a pass goes on, as the adviser or the programme set it, or as it was applied. */
export function passRate(pass: Pass, product: Product): Figure {
	return figure({ label: `${product.name}, ${pass.label}`, value: pass.rate, unit: pass.unit, basis: 'adviser' });
}

/** Pounds of product for each acre of the field, from the unit that the pass is written in. */
export function passPounds(pass: Pass, product: Product): Figure {
	const rate = passRate(pass, product);
	if (pass.unit === 'lb/ac') return overTheField(pass, rate);
	const tons = pass.unit === 'short ton/ac';
	const pounds = figure({
		...rate,
		value: poundsWhereItGoes(pass, product),
		unit: 'lb/ac',
		formula: tons ? `short tons x ${LB_PER_SHORT_TON}` : 'gallons x density',
		inputs: tons ? [rate] : [rate, densityOf(product, product.densityLbPerGal!)]
	});
	return overTheField(pass, pounds);
}

/** Pounds per acre of every nutrient in a pass, in the order of the product's label. */
export function passNutrients(pass: Pass, product: Product): { nutrient: Nutrient; pounds: Figure }[] {
	return keysOf<Nutrient>(product.analysis).map((nutrient) => ({
		nutrient,
		pounds: passNutrientFigure(pass, product, nutrient)
	}));
}

/** Gallons per acre of a liquid: pounds / density. Does not apply where the product has no density. */
export function gallonsPerAcre(poundsPerAcre: Figure, product: Product): Answer {
	const label = `${product.name} by volume`;
	if (product.densityLbPerGal === undefined) {
		return notApplicable(label, `${product.name} is not measured in gallons`, 'Go by the pounds.');
	}
	const density = densityOf(product, product.densityLbPerGal);
	return figure({
		label,
		value: poundsPerAcre.value / density.value,
		unit: 'gal/ac',
		formula: 'pounds / density',
		inputs: [poundsPerAcre, density],
		basis: product.basis,
		citation: product.citation
	});
}

function densityOf({ name, basis, citation }: Product, density: number): Figure {
	return figure({ label: `density of ${name}`, value: density, unit: 'lb/gal', basis, citation });
}

const WHOLE_FIELD: Record<string, string> = { 'short ton/ac': 'short tons', 'gal/ac': 'gal' };

/**
 * Product for the whole field: rate x acres, in lb, short tons or gallons as the rate is.
 * @returns does not apply where the area is not known
 */
export function wholeField(rate: Figure, areaAcres: number | undefined): Answer {
	const label = `${rate.label}, whole field`;
	if (areaAcres === undefined) return notApplicable(label, 'the area is not known', 'Give the area under Ground.');
	return figure({
		label,
		value: rate.value * areaAcres,
		unit: WHOLE_FIELD[rate.unit] ?? 'lb',
		formula: 'rate x area',
		inputs: [rate, figure({ label: 'area', value: areaAcres, unit: 'ac', basis: 'adviser' })],
		basis: 'adviser'
	});
}
