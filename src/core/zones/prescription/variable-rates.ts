import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import { measured } from '../../figure/measured';
import type { RateNutrient } from '../../schema-types';

/** The rate of one nutrient in one zone. */
export interface ZoneRate {
	zone: string;
	areaAcres: number;
	/** lb/ac; lime short tons/ac. */
	rate: Answer;
}

/** One nutrient over the field: each zone by itself against one rate for all. */
export interface FlatAgainstVariable {
	nutrient: RateNutrient;
	/** Over all zones, lb or short tons; does not apply while a zone has no rate. */
	variable: Answer;
	flat: Answer;
	/** $ that the zones cost more than the even rate, below 0 where they save; does not apply without a price. */
	costDifference: Answer;
	/** What the even rate puts on beyond each zone's own rate, lb/ac or short tons/ac; below 0 where it falls short. */
	over: { zone: string; amount: number }[];
}

/**
 * Product of the zones added up, against the even rate on the same ground.
 * @param flatRate lb/ac, lime short tons/ac
 * @param price $ per lb of nutrient, lime $ per short ton; undefined where it is not known
 */
export function flatAgainstVariable(
	nutrient: RateNutrient,
	flatRate: Figure,
	zones: readonly ZoneRate[],
	price: number | undefined
): FlatAgainstVariable {
	const unit = nutrient === 'lime' ? 'short tons' : 'lb';
	const acres = zones.reduce((sum, { areaAcres }) => sum + areaAcres, 0);
	const flat = figure({
		label: `${nutrient} at one rate`,
		value: flatRate.value * acres,
		unit,
		formula: 'rate x acres of all zones',
		inputs: [flatRate, acresFigure('all zones', acres)],
		basis: 'adviser'
	});
	const variable = sumOf(nutrient, zones, unit);
	return {
		nutrient,
		flat,
		variable,
		costDifference: difference(nutrient, variable, flat, price),
		over: zones.flatMap(({ zone, rate }) => (rate.applies ? [{ zone, amount: flatRate.value - rate.value }] : []))
	};
}

function sumOf(nutrient: RateNutrient, zones: readonly ZoneRate[], unit: string): Answer {
	const label = `${nutrient} by zone`;
	const without = zones.find(({ rate }) => !rate.applies);
	if (without && !without.rate.applies)
		return notApplicable(label, `${without.zone}: ${without.rate.reason}`, without.rate.remedy);
	const parts = zones.flatMap(({ zone, areaAcres, rate }) => {
		if (!rate.applies) return [];
		return figure({
			label: `${nutrient} in ${zone}`,
			value: rate.value * areaAcres,
			unit,
			formula: 'rate x acres',
			inputs: [rate, acresFigure(zone, areaAcres)],
			basis: 'adviser'
		});
	});
	return figure({
		label,
		value: parts.reduce((sum, { value }) => sum + value, 0),
		unit,
		formula: 'sum of the zones',
		inputs: parts,
		basis: 'adviser'
	});
}

function acresFigure(label: string, value: number): Figure {
	return measured(label, value, 'ac');
}

function difference(nutrient: RateNutrient, variable: Answer, flat: Figure, price: number | undefined): Answer {
	const label = `cost of ${nutrient} by zone against one rate`;
	if (!variable.applies) return notApplicable(label, variable.reason, variable.remedy);
	if (price === undefined) return notApplicable(label, `no price of ${nutrient} is known`, 'Enter it under Prices.');
	return figure({
		label,
		value: (variable.value - flat.value) * price,
		unit: '$',
		formula: '(by zone - at one rate) x price',
		inputs: [
			variable,
			flat,
			figure({
				label: `price of ${nutrient}`,
				value: price,
				unit: nutrient === 'lime' ? '$/short ton' : '$/lb',
				basis: 'adviser'
			})
		],
		basis: 'adviser'
	});
}
