import type { EChartsCoreOption } from 'echarts/core';
import type { TrialResidual } from '$core/schema-types';
import { treatmentOf } from '$core/trials/analysis/plots';
import { scatterChart } from './scatter-chart';

/** Beyond so many standard deviations a plot is named: one in twenty by chance. */
const NAMED_BEYOND = 2;

/** What each plot leaves over against what was expected of it; those far off with block and treatment. */
export function residualChart(residuals: readonly TrialResidual[], unit: string): EChartsCoreOption {
	const sd = Math.sqrt(residuals.reduce((sum, { residual }) => sum + residual ** 2, 0) / residuals.length);
	return scatterChart(
		residuals.map(({ block, levels, expected, residual }) => ({
			x: expected,
			y: residual,
			label: Math.abs(residual) > NAMED_BEYOND * sd ? `block ${block}, ${treatmentOf({ levels })}` : undefined
		})),
		{ x: `expected, ${unit}`, y: `left over, ${unit}`, zero: 'y', evenY: true }
	);
}
