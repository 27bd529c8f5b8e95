import type { PassCheck, SheetContent } from '../schema-types';

/** Rules whose notes the one who drives over the field must read too. */
export const FOR_THE_FIELD: ReadonlySet<string> = new Set(['setbacks', 'total-phosphate']);

/** What a sheet says against its plan, with the reason why it was issued all the same. */
export interface SheetWarning {
	severity: PassCheck['severity'];
	text: string;
	reason: string | undefined;
}

/** What a sheet has to say against its plan: all that is graver than a note, and what the driver must know. */
export function sheetWarnings(
	content: Pick<SheetContent, 'checks' | 'findings' | 'passes' | 'accepted'>
): SheetWarning[] {
	const { checks, findings, accepted = [] } = content;
	const told = [
		...checks
			.filter(({ severity, rule }) => severity !== 'note' || FOR_THE_FIELD.has(rule))
			.map((check) => ({ severity: check.severity, text: namedCheck(check, content) })),
		...findings.filter(({ severity }) => severity !== 'note').map(({ severity, text }) => ({ severity, text }))
	];
	const unsaid = accepted
		.filter(({ stop }) => !told.some(({ text }) => text === stop))
		.map(({ stop }) => ({ severity: 'mind' as const, text: stop }));
	const reasons = new Map(accepted.map(({ stop, reason }) => [stop, reason]));
	return [...told, ...unsaid].map((one) => ({ ...one, reason: reasons.get(one.text) }));
}

/** A check with the pass that it speaks of. */
export function namedCheck({ pass: id, text }: PassCheck, { passes }: Pick<SheetContent, 'passes'>): string {
	const label = passes.find(({ pass }) => pass.id === id)?.pass.label;
	return label === undefined || text.startsWith(label) ? text : `${label}: ${text}`;
}
