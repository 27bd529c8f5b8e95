import { allKnown } from '../../figure/all-known';
import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { FertigationRequest, Product, TankName } from '../../schema-types';
import { solubilityAt, USUAL_WATER_C } from './solubility';

/** A dose with its product's card. */
export interface StockDose {
	product: Product;
	tank: TankName;
	/** Of the product, for all acres. */
	pounds: Figure;
	/** Stock that it makes, gal; does not apply where its solubility is not known. */
	gallons: Answer;
}

/** A tank of stock for one application to all acres. */
export interface StockTank {
	name: TankName;
	doses: StockDose[];
	/** Does not apply where one of its products does not dissolve. */
	gallons: Answer;
	/** Times the tank is filled; does not apply where its size is not known. */
	fills: Answer;
	/** Of its dry products the one that asks for the most water. */
	limitedBy: StockDose | undefined;
}

/** Tank of a product where the adviser names none: what holds calcium apart from sulfate and phosphate, acid apart from both. */
export function usualTank({ hazards, analysis }: Pick<Product, 'hazards' | 'analysis'>): TankName {
	if (hazards.includes('acid')) return 'C';
	return (analysis.Ca ?? 0) > 0 ? 'B' : 'A';
}

/** The stock tanks of an application, by name. */
export function stockTanks(
	{ areaAcres, doses, tankGal, waterC = USUAL_WATER_C }: FertigationRequest,
	productOf: (id: string) => Product
): StockTank[] {
	const acres = figure({ label: 'area', value: areaAcres, unit: 'ac', basis: 'adviser' });
	const all = doses.map(({ product: id, lbPerAcre, tank }): StockDose => {
		const product = productOf(id);
		const dose = figure({ label: `${product.name}, dose`, value: lbPerAcre, unit: 'lb/ac', basis: 'adviser' });
		const pounds = figure({
			label: `${product.name} for the area`,
			value: lbPerAcre * areaAcres,
			unit: 'lb',
			formula: 'dose x area',
			inputs: [dose, acres],
			basis: 'adviser'
		});
		return { product, tank: tank ?? usualTank(product), pounds, gallons: stockGallons(product, pounds, waterC) };
	});
	return [...new Set(all.map(({ tank }) => tank))].sort().map((name) => tankOf(name, all, tankGal));
}

/** Gallons of stock: a liquid by its density, a dry product in as much water as dissolves it. */
function stockGallons(product: Product, pounds: Figure, waterC: number): Answer {
	const label = `${product.name}, stock`;
	if (product.state === 'liquid' && product.densityLbPerGal !== undefined) {
		const { basis, citation } = product;
		const density = figure({ label: 'density', value: product.densityLbPerGal, unit: 'lb/gal', basis, citation });
		return figure({
			label,
			value: pounds.value / density.value,
			unit: 'gal',
			formula: 'pounds / density',
			inputs: [pounds, density],
			basis
		});
	}
	return allKnown(label, { dissolves: solubilityAt(product, waterC) }, ({ dissolves }) =>
		figure({
			label,
			value: pounds.value / dissolves.value,
			unit: 'gal',
			formula: 'pounds / what a gallon dissolves',
			inputs: [pounds, dissolves],
			basis: dissolves.basis
		})
	);
}

function tankOf(name: TankName, all: readonly StockDose[], tankGal: number | undefined): StockTank {
	const doses = all.filter(({ tank }) => tank === name);
	const gallons = sumOf(name, doses);
	const dry = doses.filter(({ product, gallons: own }) => product.state === 'dry' && own.applies);
	const most = (dose: StockDose) => (dose.gallons.applies ? dose.gallons.value : 0);
	return {
		name,
		doses,
		gallons,
		fills: fillsOf(gallons, tankGal),
		limitedBy: dry.sort((a, b) => most(b) - most(a))[0]
	};
}

function sumOf(name: TankName, doses: readonly StockDose[]): Answer {
	const label = `stock in tank ${name}`;
	const all = Object.fromEntries(doses.map(({ gallons }, at) => [at, gallons]));
	return allKnown(label, all, (known) => {
		const parts = Object.values(known);
		return figure({
			label,
			value: parts.reduce((sum, { value }) => sum + value, 0),
			unit: 'gal',
			formula: 'sum of its products, each in its own water',
			inputs: parts,
			basis: 'practice'
		});
	});
}

function fillsOf(gallons: Answer, tankGal: number | undefined): Answer {
	const label = 'fills of the tank';
	if (tankGal === undefined) return notApplicable(label, 'the size of the tank is not given', 'Give what it holds.');
	const size = figure({ label: 'the tank holds', value: tankGal, unit: 'gal', basis: 'adviser' });
	return allKnown(label, { gallons }, (known) =>
		figure({
			label,
			value: Math.ceil(known.gallons.value / tankGal),
			unit: '',
			formula: 'stock / what the tank holds, rounded up',
			inputs: [known.gallons, size],
			basis: 'adviser'
		})
	);
}
