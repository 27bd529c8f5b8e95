import type { FromSchema } from 'json-schema-to-ts';
import { figure, type Figure } from '../../figure/figure';
import { atCec, cecLine } from '../../packs/cec-line';
import type { RuleFigures, RuleKind, RuleWords } from '../../packs/rule-kind';
import { residueParameter, strawLine, strawTaken } from './straw';
import { formatNumber } from '../../units/display';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: [
		'criticalLevelPpm',
		'buildPerPpm',
		'removalPerYield',
		'maintenanceExtra',
		'maintenanceWidthPpm',
		'drawdownWidthPpm'
	],
	properties: {
		criticalLevelPpm: cecLine,
		buildPerPpm: { ...cecLine, description: 'lb/ac a year for each ppm below the critical level' },
		removalPerYield: { type: 'number', minimum: 0, description: 'lb of the oxide in each unit of yield' },
		...residueParameter,
		maintenanceExtra: { type: 'number', minimum: 0, description: 'lb/ac added to removal' },
		maintenanceWidthPpm: { type: 'number', minimum: 0, description: 'full maintenance this far above critical' },
		drawdownWidthPpm: { type: 'number', exclusiveMinimum: 0, description: 'then falling to nothing over this' },
		maximum: { type: 'number', exclusiveMinimum: 0, description: 'lb/ac, never more in a year' }
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** lb/ac of the oxide, but the critical level in ppm, build-up for each ppm, and the share of maintenance. */
const steps = {
	criticalLevel: NaN,
	buildPerPpm: NaN,
	build: NaN,
	straw: NaN,
	maintenance: NaN,
	maintenanceShare: NaN,
	full: NaN
};

type Worked = typeof steps & { rate: number };

/**
 * Build and maintain: removal, plus a build-up below the critical level, full maintenance in a band above it, then
 * falling in a straight line to nothing. lb/ac of the oxide; soil test in ppm, CEC in meq/100 g.
 * Form of tri-state extension bulletin E-2567 (Vitosh, Johnson and Mengel 1995), from memory.
 */
export const buildAndMaintain: RuleKind<Parameters, typeof steps> = {
	kind: 'build-and-maintain',
	byFurrowSlice: true,
	parameters,
	steps,
	needs: (p) => [
		'soilTest',
		'yieldGoal',
		...(p.criticalLevelPpm.perCec === undefined && p.buildPerPpm.perCec === undefined ? [] : (['cec'] as const)),
		...(p.residuePerYield === undefined ? [] : (['residueShare'] as const))
	],
	compute(p, { soilTest, yieldGoal, cec, residueShare }, s) {
		s.criticalLevel = atCec(p.criticalLevelPpm, cec);
		const excess = soilTest - s.criticalLevel;
		s.straw = strawTaken(p, yieldGoal, residueShare);
		s.maintenance = yieldGoal * p.removalPerYield + s.straw + p.maintenanceExtra;
		s.buildPerPpm = atCec(p.buildPerPpm, cec);
		s.build = positivePart(-excess) * s.buildPerPpm;
		s.maintenanceShare = positivePart(1 - positivePart((excess - p.maintenanceWidthPpm) / p.drawdownWidthPpm));
		s.full = s.build + s.maintenance * s.maintenanceShare;
		return p.maximum !== undefined && s.full > p.maximum ? p.maximum : s.full;
	},
	explain(p, figures, words, worked) {
		const criticalLevel = cecFigure('critical level', 'ppm', p.criticalLevelPpm, worked.criticalLevel, figures, words);
		const maintenance = maintenanceFigure(p, worked, figures, words);
		const short = criticalLevel.value - figures.soilTest.value;
		const steps =
			short > 0
				? [buildFigure(p, worked, criticalLevel, figures, words), maintenance]
				: [maintenance, shareFigure(p, worked, criticalLevel, figures, words)];
		const capped = worked.rate < worked.full;
		const sumText = short > 0 ? 'build-up + maintenance' : 'maintenance x share';
		return figure({
			label: words.title,
			value: worked.rate,
			unit: words.unit,
			formula: worked.rate === 0 ? noneText(p, -short) : `${sumText}${capped ? `, at most ${p.maximum}` : ''}`,
			inputs: steps,
			basis: words.basis,
			citation: words.citation,
			cautions: [
				...(words.cautions ?? []),
				...(capped ? [`The guide's yearly limit of ${p.maximum} lb holds; the build-up takes longer.`] : [])
			]
		});
	}
};

/**
 * x where it is above 0, else 0; exactly. Over a raster the sign of x is a coin toss, and a wrong guess by the
 * processor costs more than this sum, so there is no branch in it.
 */
function positivePart(x: number): number {
	return (x + Math.abs(x)) * 0.5;
}

/** The reason for a rate of none, as a sentence. */
function noneText(p: Parameters, excess: number): string {
	const width = formatNumber(p.maintenanceWidthPpm + p.drawdownWidthPpm, 'ppm');
	return `the soil test is ${formatNumber(excess, 'ppm')} ppm above the critical level; from ${width} ppm above it the guide calls for none`;
}

function cecFigure(
	label: string,
	unit: string,
	line: { constant: number; perCec?: number },
	value: number,
	{ cec }: RuleFigures,
	words: RuleWords
): Figure {
	const rises = line.perCec !== undefined;
	return figure({
		label,
		value,
		unit,
		formula: rises ? `${line.constant} + ${line.perCec} x CEC` : '',
		inputs: rises ? [cec] : [],
		basis: words.basis,
		citation: words.citation
	});
}

function maintenanceFigure(
	p: Parameters,
	worked: Worked,
	{ yieldGoal, residueShare }: RuleFigures,
	words: RuleWords
): Figure {
	const straw = strawLine(p, worked.straw, yieldGoal, residueShare, words.unit);
	const extra = p.maintenanceExtra > 0 ? ` + ${p.maintenanceExtra}` : '';
	return figure({
		label: extra ? 'maintenance' : 'the crop takes off',
		value: worked.maintenance,
		unit: words.unit,
		formula: `yield goal x ${p.removalPerYield}${straw.length > 0 ? ' + straw or stover' : ''}${extra}`,
		inputs: [yieldGoal, ...straw],
		basis: words.basis,
		citation: words.citation
	});
}

function buildFigure(p: Parameters, worked: Worked, level: Figure, figures: RuleFigures, words: RuleWords): Figure {
	const perPpm = cecFigure('build-up for each ppm', 'lb/ac', p.buildPerPpm, worked.buildPerPpm, figures, words);
	return figure({
		label: 'build-up',
		value: worked.build,
		unit: words.unit,
		formula: '(critical level - soil test) x build-up for each ppm',
		inputs: [level, figures.soilTest, perPpm],
		basis: words.basis,
		citation: words.citation
	});
}

function shareFigure(
	p: Parameters,
	{ maintenanceShare }: Worked,
	level: Figure,
	{ soilTest }: RuleFigures,
	words: RuleWords
): Figure {
	const width = formatNumber(p.maintenanceWidthPpm, 'ppm');
	const inBand = soilTest.value - level.value <= p.maintenanceWidthPpm;
	return figure({
		label: 'share of maintenance',
		value: maintenanceShare,
		unit: '',
		formula: inBand
			? `full up to ${width} ppm above the critical level`
			: `1 - (soil test - critical level - ${width}) / ${p.drawdownWidthPpm}, never below 0`,
		inputs: [soilTest, level],
		basis: words.basis,
		citation: words.citation
	});
}
