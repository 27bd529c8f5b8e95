import type { DecisionPlan, Product } from '../../schema-types';
import { longDate } from '../../units/day-text';
import { formatQuantity } from '../../units/display';
import { unitInSystem, valueInSystem, type UnitSystem } from '../../units/rate-units';
import { MM_PER_IN } from '../../units/factors';

/** A decision in a sentence: on which day what is looked at, and what then goes on. */
export function decisionText(
	{ on, look, since, is, amount, pass }: DecisionPlan,
	{ name }: Pick<Product, 'name'>,
	units: UnitSystem
): string {
	const more = is === 'above' ? 'more' : 'less';
	const rate = formatQuantity(valueInSystem(pass.rate, pass.unit, units), unitInSystem(pass.unit, units));
	const rain = units === 'metric' ? `${Math.round(amount * MM_PER_IN)} mm` : `${Math.round(10 * amount) / 10} in`;
	const nitrate = formatQuantity(valueInSystem(amount, 'lb/ac', units), unitInSystem('lb/ac', units));
	const seen =
		look === 'rain'
			? `${more} than ${rain} of rain fell since ${longDate(since ?? on)}`
			: `the season model shows ${more} than ${nitrate} of nitrate in the root zone`;
	return `Look on ${longDate(on)}: if ${seen}, then ${rate} of ${name} on ${longDate(pass.date)}.`;
}
