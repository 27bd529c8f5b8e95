import type { UnitSystem } from '../../units/rate-units';
import { amountText } from '../../units/amount-text';
import { allKnown } from '../../figure/all-known';
import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import { LB_PER_PERCENT_OF_FURROW, LB_PER_SHORT_TON } from '../../units/factors';
import { formatNumber } from '../../units/display';
import { baseCation } from '../soil/cec';
import { readResult } from '../soil/read-result';
import type { SampledSoil } from '../soil/sampled-soil';
import { SALTY_EC, SODIUM_PERCENT } from './limits';

/** lb CaCO3 that a pound of sulfur neutralises: 100.09 / 32.06. */
const CACO3_PER_S = 3.12;
/** lb of pure gypsum for a meq/100 g of sodium and 2,000,000 lb of soil: 86.07 g/eq. */
const GYPSUM_PER_MEQ = 1722;
/** Calcium and sulfate of a saturation extract, meq/L, above which gypsum stays undissolved; common practice. */
const GYPSUM_FULL_MEQ = 20;
/** Of sulfur in a band or over the field in a year, lb/ac; common practice. */
const SULFUR_A_YEAR = 100;
/** Parts of the bought product by weight. */
const PURE = { 'elemental-sulfur': 0.9, gypsum: 0.91 } as const;

/** One way of dealing with high pH, salt or sodium; schools disagree. */
export interface HighPhWay {
	name: string;
	/** What it changes, in a sentence. */
	does: string;
	/** lb/ac. */
	amount: Answer;
	years: Answer;
	/** $/ac of the whole amount. */
	cost: Answer;
}

/**
 * Ways with high-pH, calcareous and sodic ground side by side: common practice, and opinions differ.
 * @param priceOf $ per short ton of a product; undefined where it is not known
 */
export function highPhWays(
	soil: SampledSoil,
	cec: Answer,
	priceOf: (product: 'elemental-sulfur' | 'gypsum') => number | undefined
): HighPhWay[] {
	const none = (name: string, why: string) => notApplicable(name, why, 'It is a way of working, not an amount.');
	const bulk = sulfurForCarbonate(soil);
	const band = figure({ label: 'sulfur in the band', value: SULFUR_A_YEAR, unit: 'lb/ac', basis: 'practice' });
	const gypsum = gypsumThatDissolves(soil, gypsumForSodium(soil, cec));
	const cost = (amount: Answer, product: keyof typeof PURE) => costOf(amount, product, priceOf(product));
	const salty = readResult(soil, 'EC');
	return [
		{
			name: 'Drain, then leach',
			does: `Takes salt and sodium out with the water${salty.applies && salty.value > SALTY_EC ? '; first here, since salt is high' : ''}. No product pays before it where water stands.`,
			amount: none('drainage', 'no product'),
			years: none('drainage', 'by the water that goes through'),
			cost: none('drainage', 'by the drains')
		},
		{
			name: 'Gypsum',
			does:
				'Gives calcium in place of sodium; it does not lower pH. Where the saturation extract holds Ca and SO4 above ' +
				`${GYPSUM_FULL_MEQ} meq/L each, more stays undissolved: stop buying.`,
			amount: gypsum,
			years: none('gypsum', 'by the water that takes it down'),
			cost: cost(gypsum, 'gypsum')
		},
		{
			name: 'Sulfur over the whole layer',
			does: 'Neutralises the carbonate of the plow layer before its pH falls.',
			amount: bulk,
			years: yearsAt(bulk, SULFUR_A_YEAR, soil.units),
			cost: cost(bulk, 'elemental-sulfur')
		},
		{
			name: 'Sulfur in the band, each year',
			does: `Changes the band, not the field: sulfur neutralises ${CACO3_PER_S} times its weight of carbonate.`,
			amount: band,
			years: none('sulfur in the band', 'every year anew'),
			cost: cost(band, 'elemental-sulfur')
		},
		{
			name: 'Manage around it',
			does: 'Band phosphorus, acid at the emitter, iron as EDDHA above pH 7.5, zinc, manganese and iron to the leaf, tolerant varieties.',
			amount: none('managing around it', 'as the rates have it'),
			years: none('managing around it', 'every year'),
			cost: none('managing around it', 'as the rates have it')
		},
		{
			name: 'Fine calcium carbonate',
			does: 'Some put on a light dose: not backed by the textbook above pH 7.5. A trial to lay out, not a rate.',
			amount: none('calcium carbonate', 'a trial, not a rate'),
			years: none('calcium carbonate', 'a trial, not a rate'),
			cost: none('calcium carbonate', 'a trial, not a rate')
		}
	];
}

/** Sulfur that neutralises the carbonate of 6 2/3 in: carbonate % x 20,000 lb / 3.12; does not apply where it was not measured. */
export function sulfurForCarbonate(soil: SampledSoil): Answer {
	const label = 'sulfur for the carbonate';
	return allKnown(label, { carbonate: readResult(soil, 'carbonate') }, ({ carbonate }) =>
		figure({
			label,
			value: (carbonate.value * LB_PER_PERCENT_OF_FURROW) / CACO3_PER_S,
			unit: 'lb/ac',
			formula: `carbonate x ${LB_PER_PERCENT_OF_FURROW} lb / ${CACO3_PER_S}`,
			inputs: [carbonate],
			basis: 'practice'
		})
	);
}

/**
 * Pure gypsum for the sodium above its target share of CEC, 2,000,000 lb of soil: meq x 1,722 lb.
 * @returns does not apply without sodium and CEC, or where sodium is not above the target
 */
export function gypsumForSodium(soil: SampledSoil, cec: Answer): Answer {
	const label = 'gypsum for the sodium';
	return allKnown(label, { sodium: baseCation(soil, 'Na'), cec }, ({ sodium, cec: capacity }) => {
		const target: Figure = figure({
			label: 'sodium aimed at',
			value: (capacity.value * SODIUM_PERCENT) / 100,
			unit: 'meq/100 g',
			formula: `CEC x ${SODIUM_PERCENT} %`,
			inputs: [capacity],
			basis: 'practice'
		});
		if (sodium.value <= target.value) {
			return notApplicable(label, `sodium is not above ${SODIUM_PERCENT} % of CEC`, 'Leave the gypsum out.');
		}
		return figure({
			label,
			value: (sodium.value - target.value) * GYPSUM_PER_MEQ,
			unit: 'lb/ac',
			formula: `(sodium - aimed at) x ${GYPSUM_PER_MEQ} lb`,
			inputs: [sodium, target],
			basis: 'practice'
		});
	});
}

/** The same, but where the saturation extract is already full of gypsum more stays undissolved; common practice. */
export function gypsumThatDissolves(soil: SampledSoil, gypsum: Answer): Answer {
	const calcium = readResult(soil, 'extractCa');
	const sulfate = readResult(soil, 'extractSO4');
	if (!calcium.applies || !sulfate.applies || Math.min(calcium.value, sulfate.value) <= GYPSUM_FULL_MEQ) return gypsum;
	return notApplicable(
		gypsum.label,
		`the saturation extract holds ${formatNumber(calcium.value, 'meq/L')} meq/L of Ca and ${formatNumber(sulfate.value, 'meq/L')} of SO4, both above ${GYPSUM_FULL_MEQ}: more stays undissolved`,
		'Stop buying gypsum; drain and leach.'
	);
}

function yearsAt(amount: Answer, perYear: number, units: UnitSystem): Answer {
	const label = `years at ${amountText(units)(perYear, 'whole')} a year`;
	return allKnown(label, { amount }, (known) =>
		figure({
			label,
			value: known.amount.value / perYear,
			unit: 'years',
			formula: `amount / ${perYear} lb`,
			inputs: [known.amount],
			basis: 'practice'
		})
	);
}

function costOf(amount: Answer, product: keyof typeof PURE, price: number | undefined): Answer {
	const label = 'cost';
	if (price === undefined) return notApplicable(label, 'it has no price', 'Set its price under Prices.');
	const perTon = figure({ label: 'price', value: price, unit: '$/short ton', basis: 'adviser' });
	return allKnown(label, { amount }, (known) =>
		figure({
			label,
			value: (known.amount.value / PURE[product] / LB_PER_SHORT_TON) * price,
			unit: '$/ac',
			formula: `pounds / ${PURE[product]} pure / ${LB_PER_SHORT_TON} x price`,
			inputs: [known.amount, perTon],
			basis: 'practice'
		})
	);
}
