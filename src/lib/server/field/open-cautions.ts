import type { Desk } from '../desk';

const MOST_FIELDS = 100;

/** What is open on some fields of a year, by field id: how many checks say stop and how many mind. */
export function openCautions(
	desk: Desk,
	year: string,
	fields: readonly string[]
): Record<string, { stop: number; mind: number }> {
	const open = fields.slice(0, MOST_FIELDS).map((field) => {
		const { advice } = desk.fieldYear({ field, year });
		const severities = [...(advice?.answer.findings ?? []), ...(advice?.checks() ?? [])].map(
			({ severity }) => severity
		);
		const count = (wanted: string) => severities.filter((severity) => severity === wanted).length;
		return [field, { stop: count('stop'), mind: count('mind') }];
	});
	return Object.fromEntries(open) as Record<string, { stop: number; mind: number }>;
}
