import type { LoadSizes, Pass, Product, TripLoading } from '../schema-types';
import { poundsWhereItGoes } from '../season/plan/pass/pass-nutrients';
import { apartPairs } from './blend/apart-pairs';
import { loadsFor } from './loads';

/** A pass with the card of its product. */
export interface LoadedPass {
	pass: Pass;
	product: Product;
}

/** The water carries these; how much of it is set on the machine, so that a tank's acres are not known here. */
const BY_WATER: ReadonlySet<Pass['placement']> = new Set(['leaf', 'drip', 'pivot']);

/** Common practice; labels come before it. */
const MIXING =
	'Half of the first one into the tank, then the others in this order with the pump running, then fill up. Try it in a jar first; where a label gives an order, keep to the label.';

/**
 * What goes into each load of a trip: liquids into one tank in the order of mixing (the largest first, as the carrier;
 * additives last), dry goods that lie alike into one box. Gases come in the dealer's own tanks and are left out.
 * @returns nothing where the area is not known
 */
export function tripLoading(
	trip: readonly LoadedPass[],
	areaAcres: number | undefined,
	{ tankGal, boxLb }: LoadSizes
): TripLoading[] {
	if (areaAcres === undefined) return [];
	const carried = trip.filter(({ pass }) => !BY_WATER.has(pass.placement));
	const liquid = carried.filter(({ product }) => product.state === 'liquid' && product.densityLbPerGal !== undefined);
	const dry = carried.filter(({ product }) => product.state === 'dry');
	const boxes = [...new Set(dry.map(({ pass }) => pass.placement))].map((placement) =>
		dry.filter(({ pass }) => pass.placement === placement)
	);
	return [
		...(liquid.length > 0 ? [tankOf(liquid, areaAcres * partOf(liquid), tankGal)] : []),
		...boxes.map((box) => loading('box', 'lb', box, areaAcres * partOf(box), boxLb))
	];
}

/** The part of the field that is driven over: that of the pass on the most ground. */
const partOf = (passes: readonly LoadedPass[]): number => Math.max(...passes.map(({ pass }) => pass.share ?? 1));

function tankOf(liquid: readonly LoadedPass[], areaAcres: number, capacity: number): TripLoading {
	const tank = loading('tank', 'gal', liquid, areaAcres, capacity);
	const additives = [...new Set(liquid.flatMap(({ pass }) => pass.additive ?? []))];
	const names = new Map(liquid.map(({ product }) => [product.id, product.name]));
	const apart = apartPairs([...new Set(liquid.map(({ product }) => product))]);
	const several = liquid.length + additives.length > 1;
	return {
		...tank,
		parts: [...tank.parts, ...additives.map((name) => ({ name, byLabel: true as const }))],
		notes: [
			...(several ? [MIXING] : []),
			...apart.map(([a, b]) => `${names.get(a)} and ${names.get(b)} must not meet in one tank.`)
		]
	};
}

function loading(
	into: TripLoading['into'],
	unit: TripLoading['unit'],
	passes: readonly LoadedPass[],
	areaAcres: number,
	capacity: number
): TripLoading {
	const perAcre = passes
		.map(({ pass, product }) => {
			const pounds = poundsWhereItGoes(pass, product);
			return { name: product.name, amount: unit === 'gal' ? pounds / product.densityLbPerGal! : pounds };
		})
		.sort((a, b) => b.amount - a.amount);
	const total = perAcre.reduce((sum, { amount }) => sum + amount, 0);
	const { count, acresPerLoad, last } = loadsFor(total, areaAcres, capacity);
	const fullAcres = Math.min(acresPerLoad, areaAcres);
	const lastAcres = last / total;
	return {
		into,
		unit,
		capacity,
		count,
		acresPerLoad: fullAcres,
		lastAcres,
		parts: perAcre.map(({ name, amount }) => ({ name, full: amount * fullAcres, last: amount * lastAcres })),
		notes: []
	};
}
