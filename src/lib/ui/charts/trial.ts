import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
import { scaledCurve, type CurveScale } from '$core/rates/nitrogen/response/shapes/scaled-curve';
import type { EChartsCoreOption } from 'echarts/core';
import { coefficientsOf, responseModel } from '$core/rates/nitrogen/response/shapes/models';
import type { Curve, Observation } from '$core/schema-types';
import { axis, look, roundEnds } from './look';

const POINTS = 60;
/** Told apart by dash as well as by colour. */
const LOOKS: Record<Curve['model'], { color: string; type: 'solid' | 'dashed' | 'dotted' }> = {
	'quadratic-plateau': { color: '#1f5f4a', type: 'solid' },
	quadratic: { color: '#b2521a', type: 'dashed' },
	'linear-plateau': { color: '#4b3f94', type: 'dotted' },
	mitscherlich: { color: '#1f7391', type: 'dashed' }
};

/** The look of a model's line, for the table beside the chart too. */
export function modelLook(model: Curve['model']) {
	return LOOKS[model];
}

/** In what a curve kept in US units is shown to the reader. */
export function scaleIn(units: UnitSystem, yieldUnit: string): CurveScale {
	return { perRate: valueInSystem(1, 'lb/ac', units), perYield: valueInSystem(1, yieldUnit, units) };
}

/**
 * The plots of a trial with the curves through them.
 * @param least lowest and highest rate drawn, lb/ac
 * @param yieldUnit of the crop, with the weight of its bushel
 */
export function trialChart(
	observations: readonly Observation[],
	curves: readonly Curve[],
	least: number,
	most: number,
	yieldUnit: string,
	units: UnitSystem
): EChartsCoreOption {
	const scale = scaleIn(units, yieldUnit);
	const [lowest, highest] = [least * scale.perRate, most * scale.perRate];
	const rates = Array.from({ length: POINTS + 1 }, (_, at) => lowest + ((highest - lowest) * at) / POINTS);
	const plots = observations.map((one) => [one.rate * scale.perRate, one.yield * scale.perYield] as const);
	const lines = curves.map((one) => {
		const curve = scaledCurve(one, scale);
		const p = coefficientsOf(curve);
		const model = responseModel(curve.model);
		// The corner of a join is drawn as one.
		const corner = model.agronomicOptimum(p);
		const drawn = corner > lowest && corner < highest ? [...rates, corner].sort((a, b) => a - b) : rates;
		return { model: curve.model, points: drawn.map((rate): [number, number] => [rate, model.yieldAt(p, rate)]) };
	});
	const yields = [...plots.map(([, yielded]) => yielded), ...lines.flatMap(({ points }) => points.map(([, y]) => y))];
	const ends = roundEnds(yields);
	return {
		animation: false,
		grid: { left: 62, right: 18, top: 14, bottom: 44 },
		xAxis: { ...axis(`N applied, ${unitInSystem('lb/ac', units)}`, lowest, highest), splitLine: { show: false } },
		yAxis: {
			...axis(unitInSystem(yieldUnit, units), ends.min, ends.max, ends.step),
			nameGap: 44
		},
		series: [
			{
				type: 'scatter',
				data: plots,
				symbolSize: 7,
				itemStyle: { color: look.inkSoft, opacity: 0.6 }
			},
			...lines.map(({ model, points }) => ({
				type: 'line',
				data: points,
				symbol: 'none',
				lineStyle: { ...LOOKS[model], width: 2.5 },
				itemStyle: { color: LOOKS[model].color }
			}))
		]
	};
}
