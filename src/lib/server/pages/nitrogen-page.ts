import { intervalNow } from '../../../core/rates/nitrogen/response/interval-now';
import { figure, notApplicable, type Answer } from '../../../core/figure/figure';
import { effectiveFraction } from '../../../core/rates/lime/liming-material';
import { pricePerEffectiveTon } from '../../../core/rates/lime/liming';
import { allBroughtNitrogen } from '../../../core/rates/nitrogen/credits';
import { nitrogenBalance } from '../../../core/rates/nitrogen/balance';
import { OWN_CURVES } from '../../../core/rates/nitrogen/own-curves';
import { passNutrientFigure } from '../../../core/season/plan/pass/pass-nutrients';
import { productOf } from '../../../core/season/plan/plan-context';
import { debtCost } from '../../../core/season/plan/season-debt';
import { inSystem, type UnitSystem } from '../../../core/units/rate-units';
import type { Desk } from '../desk';
import { REFERENCE_LIME } from '../field/field-request';
import type { Advice, FieldYear } from '../field/field-year';
import { appliedPasses, findFieldYear } from '../stores/field-years';
import { priceBefore } from '../stores/prices';
import { listCurves } from '../stores/response-curves';

/** What stands around the nitrogen row: the curves that speak for this field, prices, terms, and the account. */
export function nitrogenPage(desk: Desk, fieldYear: FieldYear, advice: Advice, units: UnitSystem) {
	const { request, answer, choices, chosen, crop } = advice;
	const { nitrogen: account } = answer;
	const nitrogenChoice = choices.find(({ nutrient }) => nutrient === 'N');
	const limeDebt = account!.limeDebt;
	const library = listCurves(desk.book);
	const { grain, nitrogen } = request.prices ?? {};
	const ratio = grain === undefined || nitrogen === undefined ? undefined : nitrogen / grain;
	return {
		crop,
		curves: answer.rates.flatMap(({ method, response, worksheet, packTitle, objectives }) => {
			if (!response || !objectives) return [];
			const own = library.find(({ id }) => method === `${OWN_CURVES}/${id}`);
			const { basis = 'published', citation } = worksheet.applies ? worksheet : {};
			return [
				{
					method,
					title: own?.title ?? packTitle,
					basis: own?.basis ?? basis,
					citation: own?.source ?? citation,
					simulated: own?.simulated ?? false,
					observations: own?.observations ?? [],
					interval: intervalNow(own?.eonrInterval, ratio),
					/** At the prices in the book; maximum yield stands without any. */
					objectives,
					...response
				}
			];
		}),
		prices: { grain, nitrogen },
		before: pricesBefore(desk, crop.id),
		terms: request.nitrogen ?? {},
		/** Comes off every rate of a curve, which counts all nitrogen. */
		credits: allBroughtNitrogen(advice.site),
		chosenMethod: nitrogenChoice?.method,
		chosen: chosen.find(({ nutrient }) => nutrient === 'N')?.rate.value,
		balance: inSystem(account!.balance, units),
		lastYear: inSystem(lastYearsBalance(desk, fieldYear), units),
		limeDebt: inSystem(limeDebt, units),
		limeDebtCost: inSystem(debtCost(limeDebt, limePrice(desk, fieldYear, advice)), units),
		leastPasses: account!.leastPasses
	};
}

function pricesBefore({ book, today }: Desk, crop: string) {
	const grain = priceBefore(book, `grain:${crop}`, today);
	const nitrogen = priceBefore(book, 'nutrient:N', today);
	return grain && nitrogen && { grain: grain.amount, nitrogen: nitrogen.amount, since: grain.since };
}

function limePrice({ library }: Desk, { goal, prices }: FieldYear, { request }: Advice): Answer {
	const { products } = library;
	const id = goal?.liming_product ?? REFERENCE_LIME;
	const material = request.limingMaterial ?? products.find((product) => product.id === id)?.lime;
	if (!material) return notApplicable('price of lime', 'no lime is in the catalogue', 'Name a lime under Rates.');
	return pricePerEffectiveTon(effectiveFraction(material), prices.get(`product:${id}`));
}

/** Applied less taken off in the year before, from what was booked. */
function lastYearsBalance({ book, library }: Desk, { field, year }: FieldYear): Answer {
	const label = `nitrogen balance of ${year - 1}`;
	const before = findFieldYear(book, field.id, year - 1);
	if (!before?.harvested_yield) {
		return notApplicable(label, `no harvest is recorded for ${year - 1}`, 'Record it under Scouting and records.');
	}
	if (before.second_crop !== null) {
		return notApplicable(
			label,
			`two crops were grown in ${year - 1}`,
			'Their balance stands under Scouting and records.'
		);
	}
	const { crops, products } = library;
	const crop = crops.find(({ id }) => id === before.crop)!;
	const parts = appliedPasses(book, before.id).map((pass) => passNutrientFigure(pass, productOf(pass, products), 'N'));
	const applied = figure({
		label: `nitrogen applied in ${year - 1}`,
		value: parts.reduce((sum, { value }) => sum + value, 0),
		unit: 'lb/ac',
		formula: parts.length > 0 ? 'sum of the passes recorded as applied' : 'no pass is recorded as applied',
		inputs: parts,
		basis: 'measured'
	});
	const harvest = figure({
		label: `harvest of ${year - 1}`,
		value: before.harvested_yield,
		unit: crop.yieldUnit,
		basis: 'measured'
	});
	return nitrogenBalance(crop, applied, harvest);
}
