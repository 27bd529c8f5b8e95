import { entriesOf } from '../../check/typed-object';
import { figure, type Figure } from '../../figure/figure';
import { measured } from '../../figure/measured';
import type { CalibrationFit, CalibrationModel } from '../../schema-types';
import { TARGET_PERCENT, type Site } from './critical-values';
import { MODEL_TITLES } from './model-titles';

/** How the critical value comes from what was fitted, and where the way of reading is from. */
const WAYS: Readonly<Record<CalibrationModel, Pick<Figure, 'formula' | 'basis'> & { citation?: string }>> = {
	'cate-nelson': {
		formula: '(highest test below the split + lowest test above it) / 2',
		basis: 'published',
		citation: 'Cate and Nelson 1971, Soil Science Society of America Proceedings 35'
	},
	'linear-plateau': { formula: 'join of line and plateau', basis: 'practice' },
	'quadratic-plateau': { formula: '-b / (2 c)', basis: 'practice' },
	mitscherlich: { formula: `ln(b / (1 - ${TARGET_PERCENT / 100})) / c`, basis: 'practice' },
	'arcsine-log': {
		formula: `exp(intercept + slope x arcsine(root of ${TARGET_PERCENT / 100}))`,
		basis: 'memory',
		citation: 'Correndo and co-workers 2017'
	}
};

/**
 * A critical value with what it is made of.
 * @param unit of the test
 * @returns undefined where the sites do not have the shape
 */
export function criticalFigure(
	{ model, critical, coefficients, rss, interval }: Omit<CalibrationFit, 'reason'>,
	sites: readonly Site[],
	unit: string
): Figure | undefined {
	if (critical === null) return undefined;
	const { formula, basis, citation } = WAYS[model];
	const tests = sites.map(({ soilTest }) => soilTest);
	const beside =
		model === 'cate-nelson'
			? [
					measured('highest test below the split', Math.max(...tests.filter((test) => test < critical)), unit),
					measured('lowest test above it', Math.min(...tests.filter((test) => test > critical)), unit)
				]
			: [];
	return figure({
		label: `Critical value, ${MODEL_TITLES[model]}`,
		value: critical,
		unit,
		formula,
		inputs: [
			...beside,
			...entriesOf(coefficients).map(([name, value]) => measured(COEFFICIENTS[name] ?? name, value)),
			...(rss === null ? [] : [measured('residual SS', rss)]),
			measured('sites', sites.length),
			...(interval ?? []).map((value, end) =>
				figure({
					label: `${end === 0 ? 'lower' : 'upper'} end of 90 % of draws`,
					value,
					unit,
					formula: `${end === 0 ? 5 : 95} % of the critical values of draws lie below: as many sites, each drawn from all, again and again`,
					basis: 'measured'
				})
			)
		],
		basis,
		...(citation === undefined ? {} : { citation })
	});
}

/** What a coefficient is, where its letter does not say. */
const COEFFICIENTS: Readonly<Record<string, string>> = {
	below: 'mean relative yield below, %',
	above: 'mean relative yield above, %',
	at90: 'test at 90 % of the most',
	at95: 'test at 95 % of the most',
	at99: 'test at 99 % of the most',
	r: 'correlation'
};
