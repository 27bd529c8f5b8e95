import { addDays, format, parseISO } from 'date-fns';
import { createEvents } from 'ics';
import { formatNumber } from '../../../core/units/display';
import { unitInSystem, valueInSystem } from '../../../core/units/rate-units';
import type { Sheet } from '../stores/sheets';

/** The passes of a sheet as all-day entries of an iCalendar file (RFC 5545); undefined where it cannot be written. */
export function sheetCalendar({ id, issuedAt, content }: Sheet): string | undefined {
	const { field, passes, units } = content;
	const { value } = createEvents(
		passes.map(({ pass, productName, nutrients, cautions }) => {
			const unit = unitInSystem(pass.unit, units);
			const rate = `${formatNumber(valueInSystem(pass.rate, pass.unit, units), unit)} ${unit}`;
			const carries = nutrients === '' ? '' : ` (${nutrients})`;
			return {
				uid: `${id}-${pass.id}@cosecha.invalid`,
				productId: 'cosecha',
				timestamp: Date.parse(issuedAt),
				start: dateParts(pass.date),
				end: dateParts(format(addDays(parseISO(pass.date), 1), 'yyyy-MM-dd')),
				title: `${field.name}: ${pass.label}`,
				description: [`${productName}, ${rate}, ${pass.placement}${carries}.`, pass.reason, ...cautions]
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
