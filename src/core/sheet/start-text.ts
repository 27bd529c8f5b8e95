import type { SheetContent } from '../schema-types';
import { longDate } from '../units/day-text';

/** How a season begins: "Planting 3 May 2027", of a perennial "year 5 of its life, growth from about 15 Mar 2027". */
export function startText({ perennial, age, plantingDate }: SheetContent['crop']): string {
	if (!perennial) return `planting ${longDate(plantingDate)}`;
	return `${age === undefined ? '' : `year ${age} of its life, `}growth from about ${longDate(plantingDate)}`;
}
