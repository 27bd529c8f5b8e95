import type { DecisionPlan, Product } from '../../schema-types';
import { longDate } from '../../units/day-text';
import { formatQuantity } from '../../units/display';
import { unitInSystem, valueInSystem, type UnitSystem } from '../../units/rate-units';
import { limitPer, limitUnit } from './decision-limit';

/** A decision in a sentence: on which day what is looked at, and what then goes on. */
export function decisionText(
	{ on, look, since, is, amount, pass }: DecisionPlan,
	{ name }: Pick<Product, 'name'>,
	units: UnitSystem
): string {
	const more = is === 'above' ? 'more' : 'less';
	const rate = formatQuantity(valueInSystem(pass.rate, pass.unit, units), unitInSystem(pass.unit, units));
	const limit = formatQuantity(Math.round(10 * amount * limitPer(look, units)) / 10, limitUnit(look, units));
	const seen = {
		rain: `${more} than ${limit} of rain fell since ${longDate(since ?? on)}`,
		nitrate: `the season model shows ${more} than ${limit} of nitrate in the root zone`,
		test: `a nitrate test in the crop shows ${more} than ${limit} of nitrate-N`,
		strips: `the crop stands at ${more} than ${limit} of its N-rich strip`
	}[look];
	return `Look on ${longDate(on)}: if ${seen}, then ${rate} of ${name} on ${longDate(pass.date)}.`;
}
