import { chmodSync, existsSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import book from './layouts/001-020/001-book.sql?raw';
import rates from './layouts/001-020/002-rates.sql?raw';
import nitrogen from './layouts/001-020/003-nitrogen.sql?raw';
import season from './layouts/001-020/004-season.sql?raw';
import supply from './layouts/001-020/005-supply.sql?raw';
import ground from './layouts/001-020/006-ground.sql?raw';
import zoneSeasons from './layouts/001-020/007-zone-seasons.sql?raw';
import passColumns from './layouts/001-020/008-pass-columns.sql?raw';
import blocks from './layouts/001-020/009-blocks.sql?raw';
import growers from './layouts/001-020/010-growers.sql?raw';
import spreadAndLeaf from './layouts/001-020/011-spread-and-leaf.sql?raw';
import spotsLeafFilesAndWater from './layouts/001-020/012-spots-leaf-files-and-water.sql?raw';
import ownLeafRanges from './layouts/001-020/013-own-leaf-ranges.sql?raw';
import trials from './layouts/001-020/014-trials.sql?raw';
import decisions from './layouts/001-020/015-decisions.sql?raw';
import houseProgrammes from './layouts/001-020/016-house-programmes.sql?raw';
import applications from './layouts/001-020/017-applications.sql?raw';
import catchCrops from './layouts/001-020/018-catch-crops.sql?raw';
import eventsOfFields from './layouts/001-020/019-events-of-fields.sql?raw';
import samplingBags from './layouts/001-020/020-sampling-bags.sql?raw';
import secondCrops from './layouts/021-040/021-second-crops.sql?raw';
import writtenOrder from './layouts/021-040/022-written-order.sql?raw';
import seenRates from './layouts/021-040/023-seen-rates.sql?raw';

/** In order; a released one is never changed, only followed by another. */
const MIGRATIONS: readonly string[] = [
	book,
	rates,
	nitrogen,
	season,
	supply,
	ground,
	zoneSeasons,
	passColumns,
	blocks,
	growers,
	spreadAndLeaf,
	spotsLeafFilesAndWater,
	ownLeafRanges,
	trials,
	decisions,
	houseProgrammes,
	applications,
	catchCrops,
	eventsOfFields,
	samplingBags,
	secondCrops,
	writtenOrder,
	seenRates
];

/** A book and its copies are for those who run the program, not for everybody on the machine. */
export const OWN_ONLY = 0o600;

/** The layout of a book of this program. */
export const NEWEST_LAYOUT = MIGRATIONS.length;

/**
 * Applies the migrations a book has not seen, all or none. A book in a file that holds something is copied first, to
 * `<book>.layout-<its layout>` beside it; a copy that is there stays.
 * @param layout the newest, or an older one that is to be carried over later
 * @param migrations in order, as the program has them
 * @throws Error for a book that a newer version of the program has written
 */
export function migrate(db: Database, layout = NEWEST_LAYOUT, migrations: readonly string[] = MIGRATIONS): void {
	const seen = db.pragma('user_version', { simple: true }) as number;
	if (seen === layout) return;
	if (seen > migrations.length) {
		throw new Error(`this book has layout ${seen}, and this program knows ${migrations.length}: use a newer program`);
	}
	const copy = `${db.name}.layout-${seen}`;
	if (seen > 0 && !db.memory && !existsSync(copy)) {
		db.prepare('VACUUM INTO ?').run(copy);
		chmodSync(copy, OWN_ONLY);
	}
	db.transaction(() => {
		// Another start may have done it meanwhile.
		const now = db.pragma('user_version', { simple: true }) as number;
		for (const sql of migrations.slice(now, layout)) db.exec(sql);
		db.pragma(`user_version = ${layout}`);
	}).immediate();
}
