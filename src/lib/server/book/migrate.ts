import type { Database } from 'better-sqlite3';
import book from './001-book.sql?raw';
import rates from './002-rates.sql?raw';
import nitrogen from './003-nitrogen.sql?raw';
import season from './004-season.sql?raw';
import supply from './005-supply.sql?raw';
import ground from './006-ground.sql?raw';
import zoneSeasons from './007-zone-seasons.sql?raw';

/** In order; a released one is never changed, only followed by another. */
const MIGRATIONS: readonly string[] = [book, rates, nitrogen, season, supply, ground, zoneSeasons];

/**
 * Applies the migrations a book has not seen, all or none.
 * @throws Error for a book that a newer version of the program has written
 */
export function migrate(db: Database): void {
	const seen = db.pragma('user_version', { simple: true }) as number;
	if (seen > MIGRATIONS.length) {
		throw new Error(`this book has layout ${seen}, and this program knows ${MIGRATIONS.length}: use a newer program`);
	}
	db.transaction(() => {
		for (const sql of MIGRATIONS.slice(seen)) db.exec(sql);
		db.pragma(`user_version = ${MIGRATIONS.length}`);
	}).immediate();
}
