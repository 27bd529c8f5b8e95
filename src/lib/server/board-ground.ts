import { alternativesTo } from '../../core/season/alternatives';
import { compareProgrammes } from '../../core/season/compare-programmes';
import type { YearKind } from '../../core/season/weather/generate-weather';
import { inSystem, type UnitSystem } from '../../core/units/rate-units';
import type { FieldYear, Advice } from './field-year';
import type { Library } from './knowledge';
import { seasonRequestOf } from './season-run';

/** All that the board needs to work a season out by itself while a pass is moved. */
export function boardGround(advice: Advice, kind: YearKind, units: UnitSystem, library: Library) {
	const { context, goal } = advice;
	return {
		context,
		request: seasonRequestOf(advice, kind, units, library),
		knowledge: {
			crops: library.crops.filter(({ id }) => id === goal.crop),
			products: library.products,
			schedules: library.schedules.filter(({ crop }) => crop === goal.crop),
			seasonModel: library.seasonModel,
			stations: [library.station]
		},
		kind
	};
}

/** The plan beside other ways to put on its nitrogen; none for crops whose uptake is not known. */
export function comparedProgrammes(
	advice: Advice,
	{ request, knowledge }: ReturnType<typeof boardGround>,
	prices: FieldYear['prices'],
	units: UnitSystem
) {
	const { context } = advice;
	if (!context.schedule?.uptake) return [];
	const alternatives = alternativesTo(request.passes, context);
	if (alternatives.length === 1) return [];
	return compareProgrammes(alternatives, context, request, knowledge, ({ id }) => prices.get(`product:${id}`)).map(
		(programme) => ({ ...programme, cost: inSystem(programme.cost, units) })
	);
}
