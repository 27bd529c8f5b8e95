import { entriesOf } from '../../check/typed-object';
import { figure, type Figure } from '../../figure/figure';
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
	{ model, critical, coefficients, rss }: Pick<CalibrationFit, 'model' | 'critical' | 'coefficients' | 'rss'>,
	sites: readonly Site[],
	unit: string
): Figure | undefined {
	if (critical === null) return undefined;
	const { formula, basis, citation } = WAYS[model];
	const part = (label: string, value: number, of = '') => figure({ label, value, unit: of, basis: 'measured' });
	const tests = sites.map(({ soilTest }) => soilTest);
	const beside =
		model === 'cate-nelson'
			? [
					part('highest test below the split', Math.max(...tests.filter((test) => test < critical)), unit),
					part('lowest test above it', Math.min(...tests.filter((test) => test > critical)), unit)
				]
			: [];
	return figure({
		label: `Critical value, ${MODEL_TITLES[model]}`,
		value: critical,
		unit,
		formula,
		inputs: [
			...beside,
			...entriesOf(coefficients).map(([name, value]) => part(COEFFICIENTS[name] ?? name, value)),
			...(rss === null ? [] : [part('residual SS', rss)]),
			part('sites', sites.length)
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
