import { allCautions } from '../../../core/figure/figure';
import { hasTrait } from '../../../core/season/plan/crop-traits';
import { palmSpread } from '../../../core/supply/calibration/palm-spread';
import { inSystem, yieldUnitOf } from '../../../core/units/rate-units';
import { rateByTest } from '../field/season/after-test';
import { listCropTests, type CropTestKind } from '../stores/tests/crop-tests';
import { listSpreadChecks } from '../stores/tests/spread-checks';
import type { Desk, FieldAddress } from '../desk';

const KINDS: readonly CropTestKind[] = ['tillers', 'nitrate', 'strips'];

/** The page of tests in the crop, with what each says. */
export function walkPage(desk: Desk, address: FieldAddress) {
	const { field, year, advice, goal } = desk.fieldYear(address);
	const base = { fieldId: field.id, year, today: desk.today, hasGoal: goal !== undefined };
	if (!advice) return { ...base, walk: undefined };
	const { units } = field;
	const library = desk.library;
	const tests = listCropTests(desk.book, advice.goal.id);
	const kinds = KINDS.filter((kind) =>
		library.packs.rules.some((rule) => rule.kind.test === kind && rule.parametersFor(advice.crop.id) !== undefined)
	);
	return {
		...base,
		walk: {
			cropName: advice.crop.name,
			spreadChecks: hasTrait(advice.crop, 'palm')
				? listSpreadChecks(desk.book, advice.goal.id).map((check) => ({
						...check,
						found: palmSpread(check.weighed, check.orderedKg)
					}))
				: undefined,
			yieldUnit: yieldUnitOf(advice.crop),
			rowSpacingIn: advice.goal.row_spacing_in,
			hasPasses: advice.passes.some(({ doneOn }) => doneOn === null),
			kinds: kinds.map((kind) => {
				const own = tests.filter((test) => test.kind === kind);
				const rate = rateByTest(advice, library, kind);
				return {
					kind,
					tests: own,
					guide: rate?.packTitle ?? '',
					result:
						own.length > 0 && rate
							? {
									answer: inSystem(rate.worksheet, units),
									/** The count itself leads; it is what was walked for. */
									lead: kind === 'tillers' && rate.worksheet.applies ? rate.worksheet.inputs[0] : undefined,
									stands: rate.stands,
									total: rate.seasonTotal && inSystem(rate.seasonTotal, units),
									zones: (rate.zones ?? []).map((zone) => ({
										name: zone.name,
										rate: inSystem(zone.rate, units),
										balance: inSystem(zone.balance, units)
									})),
									cautions: rate.worksheet.applies ? allCautions(rate.worksheet) : []
								}
							: undefined
				};
			})
		}
	};
}

export type WalkPage = ReturnType<typeof walkPage>;
