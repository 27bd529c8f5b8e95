import { placementText } from '../../../../core/season/plan/placement-text';
import { addDays, format, parseISO } from 'date-fns';
import { createEvents } from 'ics';
import { carriesText, quantityText } from '../../../../core/sheet/sheet-table';
import { inSystem } from '../../../../core/units/rate-units';
import type { Sheet } from '../../stores/sheets';

/** The passes of a sheet as all-day entries of an iCalendar file (RFC 5545); undefined where it cannot be written. */
export function sheetCalendar({ id, issuedAt, content }: Sheet): string | undefined {
	const { field, passes, units } = content;
	const { value } = createEvents(
		passes.map(({ pass, productName, rate, carries, cautions }) => {
			const nutrients = carriesText(carries, units);
			const carried = nutrients === '' ? '' : ` (${nutrients})`;
			return {
				uid: `${id}-${pass.id}@cosecha.invalid`,
				productId: 'cosecha',
				timestamp: Date.parse(issuedAt),
				start: dateParts(pass.date),
				end: dateParts(format(addDays(parseISO(pass.date), 1), 'yyyy-MM-dd')),
				title: `${field.name}: ${pass.label}`,
				description: [
					`${productName}, ${quantityText(inSystem(rate, units))}, ${placementText(pass, units)}${carried}.`,
					pass.reason,
					...cautions
				]
					.filter(Boolean)
					.join('\n')
			};
		})
	);
	return value ?? undefined;
}

function dateParts(day: string): [number, number, number] {
	return day.split('-').map(Number) as [number, number, number];
}
