import type { EChartsCoreOption } from 'echarts/core';
import type { Balanced } from '$core/season/plan/balance/nutrient-balance';
import { valueInSystem, type UnitSystem } from '$core/units/rate-units';
import { axis, look, roundEnds } from './look';
import { lineLook } from './outlook';

/** The balance of one nutrient over the years; a year without one is a gap. */
export interface BalanceLine {
	nutrient: string;
	points: readonly { year: number; value: number | undefined }[];
}

/** Means by acres of all fields of a grower, or of the book, in a year; lb/ac. */
export interface YearOfBalances {
	name: string;
	year: number;
	balance: Partial<Record<Balanced, number>>;
}

const isKnown = ({ balance }: YearOfBalances) => Object.values(balance).some((value) => value !== undefined);

/** Of whom balances are drawn: one year with a balance alone is no line. */
export function namesDrawn(years: readonly YearOfBalances[]): string[] {
	const count = new Map<string, number>();
	for (const { name } of years.filter(isKnown)) count.set(name, (count.get(name) ?? 0) + 1);
	return [...count].filter(([, most]) => most > 1).map(([name]) => name);
}

/** The balances of one of them, in the units, from the first year that has one to the last. */
export function balanceLines(
	years: readonly YearOfBalances[],
	name: string,
	nutrients: readonly Balanced[],
	units: UnitSystem
): BalanceLine[] {
	const all = years.filter((one) => one.name === name).sort((a, b) => a.year - b.year);
	const own = all.slice(all.findIndex(isKnown), all.findLastIndex(isKnown) + 1);
	return nutrients.map((nutrient) => ({
		nutrient,
		points: own.map(({ year, balance }) => {
			const value = balance[nutrient];
			return { year, value: value === undefined ? undefined : valueInSystem(value, 'lb/ac', units) };
		})
	}));
}

/** What went on less what came off, year by year, a line for each nutrient about the line of nought. */
export function balancesChart(lines: readonly BalanceLine[], unit: string): EChartsCoreOption {
	const points = lines.flatMap((line) => line.points);
	const { min, max, step } = roundEnds([0, ...points.flatMap(({ value }) => value ?? [])]);
	const shown = points.map(({ year }) => year);
	const years = axis('', Math.min(...shown), Math.max(...shown), 1);
	return {
		animation: false,
		grid: { left: 62, right: 24, top: 12, bottom: 28 },
		xAxis: {
			...years,
			splitLine: { show: false },
			axisLabel: { ...years.axisLabel, formatter: (year: number) => String(year) }
		},
		yAxis: { ...axis(unit, min, max, step), nameGap: 44 },
		series: lines.map(({ points: own }, at) => {
			const { color, type, symbol } = lineLook(at);
			return {
				type: 'line',
				data: own.map(({ year, value }) => [year, value ?? null]),
				connectNulls: false,
				symbol,
				symbolSize: 8,
				itemStyle: { color },
				lineStyle: { color, width: 2.5, type },
				...(at === 0
					? {
							markLine: {
								silent: true,
								symbol: 'none',
								label: { show: false },
								lineStyle: { color: look.inkSoft, type: 'solid', width: 1 },
								data: [{ yAxis: 0 }]
							}
						}
					: {})
			};
		})
	};
}
