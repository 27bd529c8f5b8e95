import { approximationOf, figure, notApplicable, type Answer } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import { applyRule } from '../reading/apply-rule';
import type { SiteReading } from '../reading/site-reading';
import type { AdviseRequest, Rate, RateNutrient } from '../schema-types';
import { cautionAtOnce } from './lime/lime-applications';
import { basesIn } from './perennial/bases-in';
import { tidy } from '../units/display';
import { inSystem, unitInSystem, type UnitSystem } from '../units/rate-units';

type Prices = NonNullable<AdviseRequest['prices']>;

const PRICE_OF: Record<RateNutrient, keyof Prices> = {
	N: 'nitrogen',
	P2O5: 'P2O5',
	K2O: 'K2O',
	S: 'S',
	Mg: 'Mg',
	Ca: 'Ca',
	B: 'B',
	Zn: 'Zn',
	Mn: 'Mn',
	Cu: 'Cu',
	lime: 'lime'
};

/** One rule's rate with its worksheet, its cost and, where it gives none, the reason. */
export function rateOf(
	compiled: CompiledRule,
	nutrient: RateNutrient,
	reading: SiteReading,
	prices: Prices,
	units: UnitSystem,
	applied: Answer = applyRule(compiled, reading)
): Rate {
	const { rule, pack, method } = compiled;
	const own = nutrient === 'lime' ? cautionAtOnce(applied, reading.site.limePlacement, reading.site.units) : applied;
	const shown = inSystem(own, units);
	const base = {
		nutrient,
		method,
		packTitle: pack.title,
		title: rule.title,
		school: rule.school!,
		unit: unitInSystem(rule.unit, units),
		cost: inSystem(costOf(own, nutrient, prices), units),
		worksheet: shown
	};
	if (!shown.applies) return { ...base, applies: false, rate: null, reason: `${shown.reason}. ${shown.remedy}` };
	const none = own.applies && own.value === 0 ? { reason: own.formula } : {};
	const bridge = own.applies ? approximationOf(own) : undefined;
	return {
		...base,
		...basesIn(own, nutrient, reading.site, units),
		applies: true,
		rate: tidy(shown.value),
		...none,
		...(bridge ? { approximate: bridge } : {})
	};
}

/** Dollars per acre of a rate in lb/ac (or short tons/ac of lime) at the price on the list. */
export function costOf(rate: Answer, nutrient: RateNutrient, prices: Prices): Answer {
	const label = `cost of ${nutrient}`;
	if (!rate.applies) return notApplicable(label, rate.reason, rate.remedy);
	const key = PRICE_OF[nutrient];
	const price = prices[key];
	if (price === undefined) {
		return notApplicable(label, `no price for ${nutrient} is known`, 'Enter prices for this year.');
	}
	const unit = nutrient === 'lime' ? '$ per short ton' : '$ per lb';
	return figure({
		label,
		value: rate.value * price,
		unit: '$/ac',
		formula: 'rate x price',
		inputs: [rate, figure({ label: `price of ${nutrient}`, value: price, unit, basis: 'adviser' })],
		basis: 'adviser'
	});
}
