import type { SheetContent } from '../schema-types';

/** Rules whose notes the one who drives over the field must read too. */
export const FOR_THE_FIELD: ReadonlySet<string> = new Set(['setbacks', 'total-phosphate']);

/** What a sheet has to say against its plan: all that is graver than a note, and what the driver must know. */
export function sheetWarnings({ checks, findings }: Pick<SheetContent, 'checks' | 'findings'>) {
	const told = checks.filter(({ severity, rule }) => severity !== 'note' || FOR_THE_FIELD.has(rule));
	return [...told, ...findings.filter(({ severity }) => severity !== 'note')];
}
