import type { Database } from 'better-sqlite3';
import { ActionError } from '../book/action-error';
import { findFieldYear } from '../stores/field-years';
import type { NamedIn } from './operation';
import { NotThere } from './refusals';

/** The table and words of what an address names; what is not here is no row of the book. */
const ROWS: Record<string, { table: string; words: string; ofField?: true; ofYear?: true; ofSource?: true }> = {
	field: { table: 'field', words: 'field in this book' },
	sample: { table: 'sample', words: 'sample on this field', ofField: true },
	layer: { table: 'ground_layer', words: 'layer on this field', ofField: true },
	test: { table: 'crop_test', words: 'test in this year', ofYear: true },
	check: { table: 'spread_check', words: 'check in this year', ofYear: true },
	leaf: { table: 'leaf_test', words: 'leaf test on this field', ofField: true },
	ranges: { table: 'own_leaf_ranges', words: 'leaf ranges of your own' },
	source: { table: 'water_source', words: 'water source' },
	report: { table: 'water_report', words: 'report of this source', ofSource: true },
	curve: { table: 'response_curve', words: 'curve in the library' },
	product: { table: 'own_product', words: 'product of your own' },
	prescription: { table: 'prescription', words: 'prescription in this book' },
	decision: { table: 'decision', words: 'decision in this year', ofYear: true },
	keptPlan: { table: 'kept_plan', words: 'kept plan in this year', ofYear: true },
	programme: { table: 'house_programme', words: 'house programme in this book' },
	trial: { table: 'trial', words: 'trial in this book' },
	import: { table: 'lab_import', words: 'import' }
};

/**
 * The one place that looks whether what an address names is there, and belongs to the field and year of the same address.
 * @throws NotThere
 */
export function checkAddress(db: Database, params: Record<string, string>): void {
	for (const [name, id] of Object.entries(params)) {
		const known = ROWS[name];
		if (!known) continue;
		const row = db.prepare<[string], Row>(`SELECT * FROM ${known.table} WHERE id = ?`).get(id);
		const elsewhere =
			(known.ofField && row?.field_id !== params.field) ||
			(known.ofSource && row?.source_id !== params.source) ||
			(known.ofYear && row?.field_year_id !== yearId(db, params));
		if (!row || elsewhere) throw new NotThere(`There is no such ${known.words}.`);
	}
}

/**
 * The same for ids in a body: fields must be there, passes and tests must belong to the year of the address.
 * @throws ActionError
 */
export function checkNamed(
	db: Database,
	params: Record<string, string>,
	named: Partial<Record<NamedIn, readonly string[]>>
): void {
	for (const [table, ids = []] of Object.entries(named)) {
		const find = db.prepare<[string], Row>(`SELECT * FROM ${table} WHERE id = ?`);
		for (const id of ids) {
			const row = find.get(id);
			if (!row) throw new ActionError(`This ${WORDS[table as NamedIn]} was removed meanwhile. Reload the page.`);
			if (table !== 'field' && row.field_year_id !== yearId(db, params)) {
				throw new ActionError('This belongs to another field or year. Reload the page.');
			}
		}
	}
}

const WORDS: Record<NamedIn, string> = { pass: 'pass', crop_test: 'test', field: 'field' };

interface Row {
	source_id?: string;
	field_id?: string;
	field_year_id?: string;
}

function yearId(db: Database, { field = '', year = '' }: Record<string, string>): string | undefined {
	return findFieldYear(db, field, Number(year))?.id;
}
