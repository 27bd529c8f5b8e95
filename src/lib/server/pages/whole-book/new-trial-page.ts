import { usualHeading } from '../../../../core/trials/design/drive-frame';
import type { Desk } from '../../desk';
import { planningYear } from '../../field/planning-year';
import { boundaryOf } from '../../field/zones/boundary-of';
import { listFields } from '../../stores/fields';

/** The page on which a trial is laid out: fields that have a boundary, and questions that are asked often. */
export function newTrialPage({ book, library, today, settings }: Desk) {
	// Arable ground first: rows of an orchard are rarely tried in strips.
	const all = listFields(book).toSorted((a, b) => Number(a.block !== null) - Number(b.block !== null));
	const fields = all.flatMap((field) => {
		const boundary = boundaryOf(field);
		if (!boundary) return [];
		const { id, name, grower, units } = field;
		return [{ id, name, grower, units, heading: usualHeading(boundary) }];
	});
	return {
		title: 'Lay out a trial',
		year: planningYear(today),
		fields,
		presets: library.trialPresets,
		units: settings.units
	};
}
