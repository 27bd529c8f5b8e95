import type { SheetContent } from '../schema-types';

/** Rules whose notes the one who drives over the field must read too. */
const FOR_THE_FIELD: ReadonlySet<string> = new Set(['setbacks']);

/** What a sheet has to say against its plan: all that is graver than a note, and the setbacks. */
export function sheetWarnings({ checks, findings }: Pick<SheetContent, 'checks' | 'findings'>) {
	const told = checks.filter(({ severity, rule }) => severity !== 'note' || FOR_THE_FIELD.has(rule));
	return [...told, ...findings.filter(({ severity }) => severity !== 'note')];
}
