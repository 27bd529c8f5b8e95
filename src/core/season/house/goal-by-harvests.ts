import { figure, notApplicable, type Answer } from '../../figure/figure';

/** A harvest of the crop, in its yield unit. */
export interface Harvest {
	year: number;
	yield: number;
}

/** Of the best three of the last five: common practice, so that a drought does not lower the goal. */
const BEST = 3;
const OF_LAST = 5;

/**
 * A yield goal from the harvests of the same crop on the field.
 * @param harvests in any order
 * @param of the last so many, or the best three of the last five
 * @returns does not apply where nothing was harvested
 */
export function goalByHarvests(harvests: readonly Harvest[], of: number | 'best', unit: string): Answer {
	const label = 'yield goal by the harvests';
	const last = [...harvests].sort((a, b) => b.year - a.year).slice(0, of === 'best' ? OF_LAST : of);
	const counted = of === 'best' ? [...last].sort((a, b) => b.yield - a.yield).slice(0, BEST) : last;
	const sum = counted.reduce((all, one) => all + one.yield, 0);
	if (sum === 0) return notApplicable(label, 'no harvest of this crop is in the book', 'Type a goal.');
	return figure({
		label,
		value: sum / counted.length,
		unit,
		formula: saidOf(counted, last),
		inputs: counted.map((one) =>
			figure({ label: `harvest of ${one.year}`, value: one.yield, unit, basis: 'measured' })
		),
		basis: 'practice'
	});
}

function saidOf(counted: readonly Harvest[], last: readonly Harvest[]): string {
	if (counted.length === 1) return `the harvest of ${counted[0]!.year}`;
	if (counted.length < last.length) return `mean of the best ${counted.length} of the last ${last.length} harvests`;
	return `mean of the last ${counted.length} harvests`;
}
