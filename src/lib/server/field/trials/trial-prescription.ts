import { InputError } from '../../../../core/check/problem';
import { NUTRIENTS, productFor } from '../../../../core/season/plan/pass/pass-nutrients';
import type { Nutrient, PassUnit, Prescription, Product } from '../../../../core/schema-types';
import { usUnitOf } from '../../../../core/trials/design/level-units';
import { rateFactor, rateOf } from '../../../../core/trials/design/treatments';
import { ActionError } from '../../book/action-error';
import type { Desk } from '../../desk';
import type { BookTrial } from '../../stores/trials';
import { triedNutrient } from './trial-ground';

/** A machine is set to a tenth. */
const DIGITS = 10;

/** Products by which the rates of a trial can be spread: those with the nutrient it tries; any where it tries a product. */
export function productsForTrial({ library }: Desk, { plan }: Pick<BookTrial, 'plan'>): Product[] {
	const nutrient = NUTRIENTS.find((one) => one === triedNutrient(plan));
	if (!rateFactor(plan)) return [];
	return library.products.filter(({ analysis }) => nutrient === undefined || (analysis[nutrient] ?? 0) > 0);
}

/**
 * The rates of a trial as a prescription for one product, a part to a plot, numbered as the plots are; nothing goes on outside.
 * @throws ActionError where the trial tries no rate; InputError for a product that does not supply it
 */
export function trialPrescription(desk: Desk, trial: BookTrial, productId: string): Prescription {
	const { plan, plots, field, grower, year } = trial;
	const factor = rateFactor(plan);
	if (!factor) throw new ActionError(`${plan.name} tries no rate: spread its treatments by the map of plots.`);
	const nutrient = NUTRIENTS.find((one) => one === triedNutrient(plan));
	const product = productsForTrial(desk, trial).find(({ id }) => id === productId);
	if (!product) {
		const message = `"${productId}" supplies no ${nutrient ?? factor.name}; take another product`;
		throw new InputError([{ path: '/product', message }]);
	}
	const { unit, rate } = settingFor(product, nutrient, usUnitOf(factor.unit ?? ''));
	return {
		format: 1,
		name: plan.name,
		product: { id: product.id, name: product.name },
		unit,
		outside: 0,
		madeOn: desk.today,
		preparedBy: desk.settings.preparedBy,
		field,
		grower,
		year,
		parts: plots.map((plot) => ({
			zone: String(plot.plot),
			rate: Math.round(rate(rateOf(plan, plot)!) * DIGITS) / DIGITS,
			areaAcres: plot.areaAcres,
			shape: plot.shape
		})),
		cautions: [desk.library.cautions.always]
	};
}

/** How a level becomes what the machine is set to: gallons where the product is a liquid. */
function settingFor(
	product: Product,
	nutrient: Nutrient | undefined,
	unit: string
): { unit: PassUnit; rate: (level: number) => number } {
	if (nutrient === undefined) {
		const own = (['gal/ac', 'short ton/ac'] as const).find((one) => one === unit);
		return { unit: own ?? 'lb/ac', rate: (level) => level };
	}
	const { densityLbPerGal } = product;
	const pounds = (level: number) => productFor(level, product, nutrient);
	return densityLbPerGal === undefined
		? { unit: 'lb/ac', rate: pounds }
		: { unit: 'gal/ac', rate: (level) => pounds(level) / densityLbPerGal };
}
