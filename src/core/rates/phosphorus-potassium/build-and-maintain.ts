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

/**
 * Build and maintain: removal, plus a build-up below the critical level, full maintenance in a band above it, then
 * falling in a straight line to nothing. lb/ac of the oxide; soil test in ppm, CEC in meq/100 g.
 * Form of tri-state extension bulletin E-2567 (Vitosh, Johnson and Mengel 1995), from memory.
 */
export const buildAndMaintain: RuleKind<Parameters> = {
	kind: 'build-and-maintain',
	byFurrowSlice: true,
	parameters,
	needs: (p) => [
		'soilTest',
		'yieldGoal',
		...(p.criticalLevelPpm.perCec === undefined && p.buildPerPpm.perCec === undefined ? [] : (['cec'] as const)),
		...(p.residuePerYield === undefined ? [] : (['residueShare'] as const))
	],
	compute(p, { soilTest, yieldGoal, cec, residueShare }) {
		const excess = soilTest - atCec(p.criticalLevelPpm, cec);
		const maintenance = yieldGoal * p.removalPerYield + strawTaken(p, yieldGoal, residueShare) + p.maintenanceExtra;
		const rate = positivePart(-excess) * atCec(p.buildPerPpm, cec) + maintenance * maintenanceShare(p, excess);
		return p.maximum !== undefined && rate > p.maximum ? p.maximum : rate;
	},
	explain(p, figures, words) {
		const criticalLevel = cecFigure('critical level', 'ppm', p.criticalLevelPpm, figures, words);
		const maintenance = maintenanceFigure(p, figures, words);
		const short = criticalLevel.value - figures.soilTest.value;
		const steps =
			short > 0
				? [buildFigure(p, short, criticalLevel, figures, words), maintenance]
				: [maintenance, shareFigure(p, -short, criticalLevel, figures, words)];
		const full = short > 0 ? steps[0]!.value + steps[1]!.value : steps[0]!.value * steps[1]!.value;
		const capped = p.maximum !== undefined && full > p.maximum;
		return figure({
			label: words.title,
			value: capped ? p.maximum! : full,
			unit: words.unit,
			formula: `${short > 0 ? 'build-up + maintenance' : 'maintenance x share'}${capped ? `, at most ${p.maximum}` : ''}`,
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

/** Full up to the width above the critical level, then falling in a straight line to nothing. */
function maintenanceShare(p: Parameters, excess: number): number {
	return positivePart(1 - positivePart((excess - p.maintenanceWidthPpm) / p.drawdownWidthPpm));
}

function cecFigure(
	label: string,
	unit: string,
	line: { constant: number; perCec?: number },
	{ cec }: RuleFigures,
	words: RuleWords
): Figure {
	const rises = line.perCec !== undefined;
	return figure({
		label,
		value: rises ? atCec(line, cec.value) : line.constant,
		unit,
		formula: rises ? `${line.constant} + ${line.perCec} x CEC` : '',
		inputs: rises ? [cec] : [],
		basis: words.basis,
		citation: words.citation
	});
}

function maintenanceFigure(p: Parameters, { yieldGoal, residueShare }: RuleFigures, words: RuleWords): Figure {
	const straw = strawLine(p, yieldGoal, residueShare, words.unit);
	const extra = p.maintenanceExtra > 0 ? ` + ${p.maintenanceExtra}` : '';
	return figure({
		label: extra ? 'maintenance' : 'the crop takes off',
		value: yieldGoal.value * p.removalPerYield + (straw[0]?.value ?? 0) + p.maintenanceExtra,
		unit: words.unit,
		formula: `yield goal x ${p.removalPerYield}${straw.length > 0 ? ' + straw or stover' : ''}${extra}`,
		inputs: [yieldGoal, ...straw],
		basis: words.basis,
		citation: words.citation
	});
}

function buildFigure(p: Parameters, short: number, level: Figure, figures: RuleFigures, words: RuleWords): Figure {
	const perPpm = cecFigure('build-up for each ppm', 'lb/ac', p.buildPerPpm, figures, words);
	return figure({
		label: 'build-up',
		value: short * perPpm.value,
		unit: words.unit,
		formula: '(critical level - soil test) x build-up for each ppm',
		inputs: [level, figures.soilTest, perPpm],
		basis: words.basis,
		citation: words.citation
	});
}

function shareFigure(
	p: Parameters,
	excess: number,
	level: Figure,
	{ soilTest }: RuleFigures,
	words: RuleWords
): Figure {
	const width = formatNumber(p.maintenanceWidthPpm, 'ppm');
	const inBand = excess <= p.maintenanceWidthPpm;
	return figure({
		label: 'share of maintenance',
		value: maintenanceShare(p, excess),
		unit: '',
		formula: inBand
			? `full up to ${width} ppm above the critical level`
			: `1 - (soil test - critical level - ${width}) / ${p.drawdownWidthPpm}, never below 0`,
		inputs: [soilTest, level],
		basis: words.basis,
		citation: words.citation
	});
}
