import type { Answer, Figure } from '../../figure/figure';
import type { TrialRecord } from '../../schema-types';
import { amountText } from '../../units/amount-text';
import type { UnitSystem } from '../../units/rate-units';
import { USUAL_LEVEL } from '../analysis/usual-values';
import { rateOf } from '../design/treatments';
import { atStandardMoisture } from '../plots/standard-moisture';
import { relationFigure, relationOf, type Relation } from './relation';

/** A plot's nitrogen: what the trial put on less what the grain took off, and the nitrate found after harvest; lb N/ac. */
export interface PlotNitrogen {
	plot: number;
	block: number;
	rate: number;
	removed: number;
	balance: number;
	residual: number;
}

/** The nitrogen of the plots of a trial. */
export interface NitrogenLeft {
	plots: PlotNitrogen[];
	/** Of plots that got more than the grain took off. */
	beyond: Relation | undefined;
	/** Plots with most nitrate, the most first. */
	hottest: PlotNitrogen[];
	text: string;
	/** Of what goes on beyond the grain: found as nitrate, percent; undefined where that is not beyond chance. */
	found: Figure | undefined;
}

/** So many are named as hot spots. */
const MOST_NAMED = 3;
/** A plot is a hot spot from so many times the mean on: judgement. */
const HOT_TIMES = 1.5;

/**
 * Balance against residual nitrate by plot, of trials whose rates are of nitrogen.
 * @param removedBy what a yield at standard moisture takes off, lb N/ac
 * @returns undefined where no rates of nitrogen are tried, or no plot has both yield and residual nitrate
 */
export function nitrogenLeft(
	{ plan, plots, records }: TrialRecord,
	standardMoisturePercent: number | undefined,
	removedBy: (yielded: number) => Answer,
	units: UnitSystem
): NitrogenLeft | undefined {
	const found = plots.flatMap((plot): PlotNitrogen[] => {
		const own = records.find((one) => one.plot === plot.plot);
		const rate = rateOf(plan, plot);
		const { yield: yielded, residualNitrate: residual } = own?.values ?? {};
		if (rate === undefined || yielded === undefined || residual === undefined || own?.setAside) return [];
		const removed = removedBy(atStandardMoisture(yielded, own?.moisturePercent, standardMoisturePercent));
		if (!removed.applies) return [];
		const balance = rate - removed.value;
		return [{ plot: plot.plot, block: plot.block, rate, removed: removed.value, balance, residual }];
	});
	if (found.length === 0) return undefined;
	const beyond = relationOf(found.flatMap(({ balance, residual }) => (balance > 0 ? [[balance, residual]] : [])));
	const mean = found.reduce((sum, { residual }) => sum + residual, 0) / found.length;
	const hottest = found
		.filter(({ residual }) => residual >= HOT_TIMES * mean)
		.sort((a, b) => b.residual - a.residual)
		.slice(0, MOST_NAMED);
	const sure = beyond && beyond.slope > 0 && beyond.p < 1 - USUAL_LEVEL;
	return {
		plots: found,
		beyond,
		hottest,
		text: textOf(found, units),
		found: sure
			? relationFigure(beyond, {
					of: 'slope',
					label: 'found as nitrate of what goes on beyond what the grain takes off',
					x: 'balance',
					y: 'nitrate left',
					unit: '%'
				})
			: undefined
	};
}

function textOf(plots: readonly PlotNitrogen[], units: UnitSystem): string {
	const over = plots.filter(({ balance }) => balance > 0);
	const meanOf = (some: readonly PlotNitrogen[]) =>
		amountText(units).ofArea(some.reduce((sum, { residual }) => sum + residual, 0) / some.length, 'N');
	const within = plots.filter(({ balance }) => balance <= 0);
	if (within.length === 0) {
		return `All plots got more than the grain took off; they have ${meanOf(over)} of nitrate left on the mean.`;
	}
	const others = over.length > 0 ? `, the others ${meanOf(over)}` : '';
	return `Plots that got no more than the grain took off have ${meanOf(within)} of nitrate left on the mean${others}.`;
}
