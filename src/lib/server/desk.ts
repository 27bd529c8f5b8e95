import type { Database } from 'better-sqlite3';
import { currentLibrary } from './current-library';
import { loadFieldYear, type FieldYear } from './field/field-year';
import { yearOf } from './field/year-of';
import type { Library } from './knowledge';
import { readSettings, type Settings } from './stores/settings';
import { theBook } from './the-book';
import { today } from './today';

/** The field and year of an address, as they stand in it. */
export interface FieldAddress {
	field: string;
	year: string;
}

/** What one request reads: book, library and day, and each field-year loaded and derived once, for frame and page alike. */
export class Desk {
	readonly #fieldYears = new Map<string, FieldYear>();
	#settings: Settings | undefined;

	constructor(
		readonly book: Database,
		readonly library: Library,
		/** YYYY-MM-DD. */
		readonly today: string
	) {}

	get settings(): Settings {
		return (this.#settings ??= readSettings(this.book));
	}

	/** A field-year with all that follows from it; what is no year, or no field, is a 404. */
	fieldYear({ field, year }: FieldAddress): FieldYear {
		const key = `${field} ${year}`;
		const known = this.#fieldYears.get(key);
		if (known) return known;
		const loaded = loadFieldYear(this.book, this.library, field, yearOf(year), this.today);
		this.#fieldYears.set(key, loaded);
		return loaded;
	}
}

/** The desk of a request that reads. What a request changes it reads anew. */
export function deskOf(locals: App.Locals): Desk {
	return (locals.desk ??= new Desk(theBook(), currentLibrary(), today()));
}
