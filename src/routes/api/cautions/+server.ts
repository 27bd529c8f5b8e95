import { json } from '@sveltejs/kit';
import { currentLibrary } from '$lib/server/current-library';
import { loadFieldYear } from '$lib/server/field/field-year';
import { yearOf } from '$lib/server/http/params';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { RequestHandler } from './$types';

const MOST_FIELDS = 100;

/** What is open on some fields of a year, by field id: how many checks say stop and how many mind. */
export const GET: RequestHandler = ({ url }) => {
	const year = yearOf(url.searchParams.get('year') ?? '');
	const fields = url.searchParams.getAll('field').slice(0, MOST_FIELDS);
	const open = fields.map((field) => {
		const { advice } = loadFieldYear(theBook(), currentLibrary(), field, year, today());
		const severities = [...(advice?.answer.findings ?? []), ...(advice?.checks() ?? [])].map(
			({ severity }) => severity
		);
		const count = (wanted: string) => severities.filter((severity) => severity === wanted).length;
		return [field, { stop: count('stop'), mind: count('mind') }];
	});
	return json(Object.fromEntries(open));
};
