import type { Database } from 'better-sqlite3';
import type { ResponseCurve } from '../../../../core/schema-types';
import type { Library } from '../../knowledge';
import type { Desk } from '../../desk';
import { findField, listFieldSamples, type FieldRow } from '../../stores/fields';
import { findFieldYear } from '../../stores/field-years';
import { listHouseProgrammes, type HouseProgrammeRecord } from '../../stores/plan/house-programmes';
import { pricesOn, type PriceList } from '../../stores/prices';
import { listCurves } from '../../stores/response-curves';
import { recordsOf, type Records } from '../field-request';
import { cannot, type Planned } from './planned';

/** What work on many fields reads once for all of them. */
export class WorkGround {
	readonly book: Database;
	readonly library: Library;
	readonly today: string;
	readonly #prices: PriceList;
	readonly #curves: readonly ResponseCurve[];
	readonly programmes: readonly HouseProgrammeRecord[];

	constructor(
		{ book, library, today }: Pick<Desk, 'book' | 'library' | 'today'>,
		readonly year: number
	) {
		this.book = book;
		this.library = library;
		this.today = today;
		this.#prices = pricesOn(book, today);
		this.#curves = listCurves(book);
		this.programmes = listHouseProgrammes(book);
	}

	/** Undefined for a field that was removed meanwhile. */
	field(id: string): FieldRow | undefined {
		return findField(this.book, id);
	}

	/** What the book holds of a field in the year, or why its rates cannot be worked out. */
	records(field: FieldRow): Records | Planned {
		const goal = findFieldYear(this.book, field.id, this.year);
		if (!goal) return cannot(`no crop and goal for ${this.year} yet`);
		const samples = listFieldSamples(this.book, field.id);
		if (samples.length === 0) return cannot('no soil sample yet');
		return recordsOf(this.book, field, goal, samples, this.#prices, this.#curves);
	}
}
