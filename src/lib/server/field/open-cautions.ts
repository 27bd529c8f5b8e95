import type { OpenCautions } from '../../../core/schema-types';
import type { Desk } from '../desk';
import { listSheets } from '../stores/sheets';
import { isOutOfDate } from './issue-sheet';

const MOST_FIELDS = 100;

/** What is open on some fields of a year, by field id: how many checks say stop and how many mind, and whether its sheet is out of date. */
export function openCautions(desk: Desk, year: string, fields: readonly string[]): OpenCautions {
	const open = fields.slice(0, MOST_FIELDS).map((field) => {
		const fieldYear = desk.fieldYear({ field, year });
		const { advice, goal } = fieldYear;
		const newest = goal && listSheets(desk.book, goal.id)[0];
		const severities = [...(advice?.answer.findings ?? []), ...(advice?.checks() ?? [])].map(
			({ severity }) => severity
		);
		const count = (wanted: string) => severities.filter((severity) => severity === wanted).length;
		return [field, { stop: count('stop'), mind: count('mind'), outOfDate: isOutOfDate(desk, fieldYear, newest) }];
	});
	return Object.fromEntries(open) as OpenCautions;
}
