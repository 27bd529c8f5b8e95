import { OBJECTIVE_NAME } from '$core/rates/nitrogen/response/objective-name';
import type { EChartsCoreOption } from 'echarts/core';
import { nitrogenPerYield } from '$core/rates/nitrogen/balance';
import type { PricedCurve } from '$core/rates/nitrogen/priced-curve';
import { returnToNitrogen, type NitrogenPrices, type TestedCurve } from '$core/rates/nitrogen/response/returns';
import type { Crop } from '$core/schema-types';
import { unitInSystem, valueInSystem, yieldUnitOf, type UnitSystem } from '$core/units/rate-units';
import { axis, look, roundEnds, text } from './look';

/** One pair of prices with what the curve says at them. */
export interface Scenario {
	prices: NitrogenPrices;
	priced: PricedCurve;
}

export interface NitrogenChart {
	curve: TestedCurve;
	crop: Crop;
	now: Scenario;
	/** Another year's prices laid over. */
	other: Scenario | undefined;
	observations: readonly { rate: number; yield: number }[];
	/** The nitrogen settled on, lb/ac. */
	chosen: number | undefined;
	units: UnitSystem;
}

const POINTS = 60;
const OBJECTIVES = [
	['leastLeft', OBJECTIVE_NAME['least-left']],
	['mostProfit', OBJECTIVE_NAME['most-profit']],
	['mostYield', OBJECTIVE_NAME['most-yield']]
] as const;

/** Yield and return against the rate with the three marks and the flat band; under it what is left behind. */
export function nitrogenChart(chart: NitrogenChart): EChartsCoreOption {
	const { curve, crop, now, other, observations, units } = chart;
	const { model, p, lowest, highest } = curve;
	const shown = (pounds: number) => valueInSystem(pounds, 'lb/ac', units);
	const rates = Array.from({ length: POINTS + 1 }, (_, at) => lowest + ((highest - lowest) * at) / POINTS);
	const yielded = (value: number) => valueInSystem(value, yieldUnitOf(crop), units);
	const line = (of: (rate: number) => number) => rates.map((rate) => [shown(rate), of(rate)]);
	const money = (dollars: number) => valueInSystem(dollars, '$/ac', units);
	const returns = ({ prices }: Scenario) => line((rate) => money(returnToNitrogen(curve, prices, rate)));
	const perYield = nitrogenPerYield(crop);
	const left = perYield === undefined ? [] : line((rate) => shown(rate - model.yieldAt(p, rate) * perYield));
	const unit = unitInSystem('lb/ac', units);
	const xAxis = (gridIndex: number, name: string) => ({
		...axis(name, shown(lowest), shown(highest), undefined),
		gridIndex,
		splitLine: { show: false },
		...(gridIndex === 0 ? { axisLabel: { show: false } } : {})
	});
	const yields = [...rates.map((rate) => model.yieldAt(p, rate)), ...observations.map((one) => one.yield)];
	const ends = roundEnds(yields.map(yielded));
	return {
		animation: false,
		grid: [
			{ left: 58, right: 62, top: 46, height: 190, outerBoundsMode: 'none' },
			{ left: 58, right: 62, top: 266, height: 84, outerBoundsMode: 'none' }
		],
		xAxis: [xAxis(0, ''), xAxis(1, `N applied, ${unit}`)],
		yAxis: [
			{ ...axis(unitInSystem(yieldUnitOf(crop), units), ends.min, ends.max, ends.step), nameGap: 40 },
			{
				...axis(`return to N, ${unitInSystem('$/ac', units)}`, 0, 0),
				min: undefined,
				max: undefined,
				nameGap: 44,
				position: 'right',
				splitLine: { show: false }
			},
			{ ...axis(`left, ${unit}`, 0, 0), min: undefined, max: undefined, gridIndex: 1, nameGap: 40, splitNumber: 3 }
		],
		series: [
			{
				type: 'scatter',
				name: 'plots',
				data: observations.map((one) => [shown(one.rate), yielded(one.yield)]),
				symbolSize: 5,
				itemStyle: { color: look.inkSoft, opacity: 0.45 }
			},
			{
				type: 'line',
				name: 'yield',
				data: line((rate) => yielded(model.yieldAt(p, rate))),
				symbol: 'none',
				lineStyle: { color: look.ink, width: 2.5 },
				markArea: { silent: true, data: bands(now.priced, shown) },
				markLine: { silent: true, symbol: 'none', data: marks(chart, shown) }
			},
			{
				type: 'line',
				name: 'return',
				yAxisIndex: 1,
				data: returns(now),
				symbol: 'none',
				lineStyle: { color: look.action, width: 2.5 }
			},
			...(other
				? [
						{
							type: 'line',
							name: 'return at the other prices',
							yAxisIndex: 1,
							data: returns(other),
							symbol: 'none',
							lineStyle: { color: look.accent, width: 2.5, type: 'dashed' },
							markPoint: { silent: true, data: bestPoint(curve, other, shown, money) }
						}
					]
				: []),
			{
				type: 'line',
				name: 'residual N',
				xAxisIndex: 1,
				yAxisIndex: 2,
				data: left,
				symbol: 'none',
				lineStyle: { color: '#4b3f94', width: 2.5 },
				markLine: {
					silent: true,
					symbol: 'none',
					label: { show: false },
					data: [
						...objectiveRates(now.priced).map(([, rate]) => ({
							xAxis: shown(rate),
							lineStyle: { color: look.inkSoft, type: 'dotted' }
						})),
						{ yAxis: 0, lineStyle: { color: look.inkSoft, type: 'solid' } }
					]
				}
			}
		]
	};
}

function objectiveRates({ outcomes }: PricedCurve): [string, number][] {
	return OBJECTIVES.flatMap(([key, name]) => {
		const outcome = outcomes[key];
		return outcome ? [[name, outcome.rate.value] satisfies [string, number]] : [];
	});
}

/** Labels of rates that lie close together stand one above the other. */
function marks({ now, chosen, curve, units }: NitrogenChart, shown: (pounds: number) => number) {
	const close = (curve.highest - curve.lowest) * 0.17;
	let last = -Infinity;
	let raised = 0;
	const objectives = objectiveRates(now.priced).map(([name, rate]) => {
		raised = rate - last < close ? raised + 1 : 0;
		last = rate;
		return {
			xAxis: shown(rate),
			lineStyle: { color: look.inkSoft, type: 'dotted', width: 1.5 },
			label: {
				...text(`${name} ${Math.round(shown(rate))}`, look.ink, 'end'),
				fontSize: 12,
				offset: [0, -14 * raised]
			}
		};
	});
	if (chosen === undefined || chosen < curve.lowest || chosen > curve.highest) return objectives;
	const mark = `chosen ${Math.round(shown(chosen))} ${unitInSystem('lb/ac', units)}`;
	return [
		...objectives,
		{
			xAxis: shown(chosen),
			lineStyle: { color: look.action, type: 'solid', width: 2 },
			label: { ...text(mark, look.action, 'insideStartBottom'), fontSize: 12 }
		}
	];
}

function bands({ within1, within5 }: PricedCurve, shown: (pounds: number) => number) {
	return [
		{ band: within5, color: look.accentWash, opacity: 0.6 },
		{ band: within1, color: look.accent, opacity: 0.28 }
	].flatMap(({ band, color, opacity }) =>
		band ? [[{ xAxis: shown(band[0]), itemStyle: { color, opacity } }, { xAxis: shown(band[1]) }]] : []
	);
}

function bestPoint(
	curve: TestedCurve,
	{ prices, priced }: Scenario,
	shown: (pounds: number) => number,
	money: (dollars: number) => number
) {
	const best = priced.outcomes.mostProfit?.rate.value;
	if (best === undefined) return [];
	return [
		{
			coord: [shown(best), money(returnToNitrogen(curve, prices, best))],
			symbol: 'circle',
			symbolSize: 9,
			itemStyle: { color: look.accent },
			label: { ...text(`${Math.round(shown(best))}`, look.accentInk, 'top'), fontSize: 12 }
		}
	];
}
