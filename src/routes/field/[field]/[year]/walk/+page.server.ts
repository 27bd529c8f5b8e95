import { allCautions } from '$core/figure/figure';
import { inSystem } from '$core/units/rate-units';
import { rateByTest } from '$lib/server/after-test';
import { currentLibrary } from '$lib/server/current-library';
import { fieldYearOf } from '$lib/server/params';
import { listCropTests, type CropTestKind } from '$lib/server/stores/crop-tests';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

const KINDS: readonly CropTestKind[] = ['tillers', 'nitrate', 'strips'];

export const load: PageServerLoad = ({ params }) => {
	const { field, year, advice, goal } = fieldYearOf(params);
	const base = { fieldId: field.id, year, today: today(), hasGoal: goal !== undefined };
	if (!advice) return { ...base, walk: undefined };
	const { units } = readSettings(theBook());
	const library = currentLibrary();
	const tests = listCropTests(theBook(), advice.goal.id);
	const kinds = KINDS.filter((kind) =>
		library.packs.rules.some((rule) => rule.kind.test === kind && rule.parametersFor(advice.crop.id) !== undefined)
	);
	return {
		...base,
		walk: {
			cropName: advice.crop.name,
			yieldUnit: advice.crop.yieldUnit,
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
};
