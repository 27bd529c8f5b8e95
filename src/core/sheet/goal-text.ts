import type { SheetContent } from '../schema-types';
import { quantityIn } from '../units/amount-text';
import { longDate } from '../units/day-text';

/** What a sheet is for: "Goal 95 bu/ac after soybean; planting 6 Oct 2026; then soybean as second crop, goal 28 bu/ac". */
export function goalText({ crop, units }: Pick<SheetContent, 'crop' | 'units'>): string {
	const { yieldGoal, yieldUnit, previousCrop, second } = crop;
	const after = previousCrop ? ` after ${previousCrop.replace('-grain', '').replace('-', ' ')}` : '';
	const then = second
		? `; then ${second.name.toLowerCase()} as second crop, goal ${quantityIn(units, second.yieldGoal, second.yieldUnit)}`
		: '';
	return `Goal ${quantityIn(units, yieldGoal, yieldUnit)}${after}; ${startText(crop)}${then}`;
}

/** How a season begins: "planting 3 May 2027", of a perennial "year 5 of its life, growth from about 15 Mar 2027". */
export function startText({ perennial, age, plantingDate }: SheetContent['crop']): string {
	if (!perennial) return `planting ${longDate(plantingDate)}`;
	return `${age === undefined ? '' : `year ${age} of its life, `}growth from about ${longDate(plantingDate)}`;
}
