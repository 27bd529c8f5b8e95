import type { Database } from 'better-sqlite3';
import { compilePacks } from '../../core/packs/compile-packs';
import type { PackSet } from '../../core/packs/pack';
import { ruleKinds } from '../../core/rates/kinds';
import { theLibrary, type Library } from './knowledge';
import { guidesOff, listGuides } from './stores/guides';
import { theBook } from './the-book';

let known: { key: string; library: Library } | undefined;

/** Shipped guides with those of the book, less those set aside; made anew when one of them changes. */
export function libraryOf(db: Database, shipped: Library): Library {
	const own = listGuides(db);
	const off = guidesOff(db);
	const key = JSON.stringify([own.map(({ document, savedAt }) => [document.id, document.version, savedAt]), [...off]]);
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
		packs: { packs: packs.packs, rules: packs.rules.filter(({ pack }) => !off.has(pack.id)) }
	};
	known = { key, library };
	return library;
}

/** The library of this process with the guides of its book. */
export function currentLibrary(): Library {
	return libraryOf(theBook(), theLibrary());
}

/** A book's guide stands in place of a shipped one of the same name, which a newer program may bring. */
function joined(shipped: PackSet, own: PackSet): PackSet {
	const ids = new Set(own.packs.map(({ id }) => id));
	return {
		packs: [...shipped.packs.filter(({ id }) => !ids.has(id)), ...own.packs],
		rules: [...shipped.rules.filter(({ pack }) => !ids.has(pack.id)), ...own.rules]
	};
}
