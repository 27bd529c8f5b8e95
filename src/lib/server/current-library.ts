import type { Database } from 'better-sqlite3';
import { joinedLeafRanges } from '../../core/reading/leaf/leaf-range';
import { compilePacks } from '../../core/packs/compile-packs';
import type { PackSet } from '../../core/packs/pack';
import { ruleKinds } from '../../core/rates/kinds';
import { normalsOf } from '../../core/season/weather/normals-of';
import { theLibrary, type Library } from './knowledge';
import { readHouseRules } from './stores/house-rules';
import { listOwnProducts } from './stores/own-products';
import { listStations, readOutlook, stationInUse } from './stores/stations';
import { guidesOff, listGuides } from './stores/guides';
import { listOwnLeafRanges } from './stores/tests/own-leaf-ranges';
import { theBook } from './the-book';

let known: { key: string; library: Library } | undefined;

/** Shipped guides with those of the book, less those set aside; made anew when one of them changes. */
export function libraryOf(db: Database, shipped: Library): Library {
	const own = listGuides(db);
	const off = guidesOff(db);
	const key = JSON.stringify([
		own.map(({ document, savedAt }) => [document.id, document.version, savedAt]),
		[...off],
		settingsKey(db)
	]);
	if (known?.key === key) return known.library;
	const packs = joined(
		shipped.packs,
		compilePacks(
			own.map(({ document }) => document),
			ruleKinds
		)
	);
	const library = {
		...shipped,
		...weatherOf(db, shipped),
		products: [...shipped.products, ...listOwnProducts(db)],
		leafRanges: joinedLeafRanges(
			shipped.leafRanges,
			listOwnLeafRanges(db).map(({ ranges }) => ranges)
		),
		houseRules: readHouseRules(db),
		packs: { packs: packs.packs, rules: packs.rules.filter(({ pack }) => !off.has(pack.id)) }
	};
	known = { key, library };
	return library;
}

/** The library of this process with the guides of its book. */
export function currentLibrary(): Library {
	return libraryOf(theBook(), theLibrary());
}

/** What the library takes from the settings, stations and own products of a book, to see when it changed. */
function settingsKey(db: Database): string {
	return db
		.prepare<[], { key: string }>(
			`SELECT json_array(
				(SELECT group_concat(value) FROM setting WHERE id IN ('houseRules', 'outlook', 'station')),
				(SELECT group_concat(name || latitude || digest) FROM station),
				(SELECT group_concat(product) FROM own_product),
				(SELECT group_concat(ranges) FROM own_leaf_ranges)
			) AS key`
		)
		.get()!.key;
}

/** The shipped stations and the book's own, with the one in use and what it measured. */
function weatherOf(
	db: Database,
	{ stations: shipped, station }: Library
): Pick<Library, 'stations' | 'station' | 'measured' | 'measuredAt' | 'outlook'> {
	const rows = listStations(db);
	const own = rows.map(({ id, name, latitude, days }) => {
		const { months, own } = normalsOf(days, station.months);
		return { id, name, latitude, months, simulated: own === 0 };
	});
	const stations = [...shipped, ...own];
	const inUse = stationInUse(db);
	return {
		stations,
		station: stations.find(({ id }) => id === inUse) ?? station,
		measured: rows.find(({ id }) => id === inUse)?.days ?? [],
		measuredAt: new Map(rows.map(({ id, days }) => [id, days])),
		outlook: readOutlook(db)
	};
}

/** A book's guide stands in place of a shipped one of the same name, which a newer program may bring. */
function joined(shipped: PackSet, own: PackSet): PackSet {
	const ids = new Set(own.packs.map(({ id }) => id));
	return {
		packs: [...shipped.packs.filter(({ id }) => !ids.has(id)), ...own.packs],
		rules: [...shipped.rules.filter(({ pack }) => !ids.has(pack.id)), ...own.rules]
	};
}
