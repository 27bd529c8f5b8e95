import { yieldUnitOf } from '../../../core/units/rate-units';
import { valueIfKnown } from '../../../core/figure/figure';
import { plantAge } from '../../../core/ground/block/block-age';
import { usualStages } from '../../../core/season/stages/stage-dates';
import { goalFactsOf } from '../api/standing';
import type { Advice, FieldYear } from '../field/field-year';
import type { Desk } from '../desk';
import { blockYearOf, findFieldYear } from '../stores/field-years';
import { lastCropOf } from '../stores/plan/after-the-harvest';

/** What the goal form needs: the crops there are and what stands now. */
export function goalPage({ book, library }: Desk, { field, year, goal, advice }: FieldYear) {
	const { crops } = library;
	// Last year's crop is this year's previous crop, where the book knows it.
	const lastYear = findFieldYear(book, field.id, year - 1);
	return {
		fieldId: field.id,
		units: field.units,
		year,
		crops: crops.map(({ id, name, usualGoal, perennial, preferredPh, ...crop }) => ({
			id,
			name,
			yieldUnit: yieldUnitOf(crop),
			usualGoal,
			perennial,
			targetPh: preferredPh?.target
		})),
		goal: goal
			? {
					crop: goal.crop,
					yieldGoal: goal.yield_goal,
					previousCrop: goal.previous_crop,
					plantingDate: goal.planting_date,
					rowSpacingIn: goal.row_spacing_in,
					targetPh: goal.target_ph,
					targetPhScale: goal.target_ph_scale,
					residueRemovedPercent: goal.residue_removed_percent,
					starterP2O5: goal.starter_p2o5
				}
			: undefined,
		/** The goal as it is sent, to say what a change starts from. */
		seen: goal ? goalFactsOf(goal) : null,
		usualPlanting: advice?.context.plantingDate,
		perennial: advice?.crop.perennial ? perennialYear(advice) : undefined,
		lastCrop: lastYear && lastCropOf(lastYear)
	};
}

/** What holds of a block in this year, and the days of its stages. */
function perennialYear({ goal, site, context }: Advice) {
	const typed = blockYearOf(goal);
	const dates = usualStages(context);
	const days = context.stages?.stages.flatMap(({ name, anchor }) => {
		const date = dates.find((one) => one.name === name)?.date;
		return anchor && date ? [{ anchor, name, date, set: typed[anchor] !== undefined }] : [];
	});
	return {
		/** As it was typed. */
		blockYear: typed,
		/** The leaf test that the rates go by. */
		leaf: site.blockYear.leaf,
		fromLog: site.blockYear.leaf !== undefined && typed.leaf === undefined,
		age: site.block && valueIfKnown(plantAge(site.block, site.cropYear)),
		alternates: site.block?.bears === 'every other year',
		hasBlock: site.block !== undefined,
		days: days ?? []
	};
}
