import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import type { PackDocument } from '../../../core/schema-types';
import { act } from '../book/act';
import { ActionError } from '../book/action-error';

/** A guide of the adviser's own as it stands in the book. */
export interface GuideRecord {
	document: PackDocument;
	savedAt: string;
}

export function listGuides(db: Database): GuideRecord[] {
	return db
		.prepare<[], { document: string; saved_at: string }>('SELECT document, saved_at FROM guide ORDER BY id')
		.all()
		.map(({ document, saved_at }) => ({ document: fromJson<PackDocument>(document), savedAt: saved_at }));
}

/** Versions of a guide, the newest first. */
export function listGuideVersions(db: Database, guideId: string): (GuideRecord & { version: string })[] {
	return db
		.prepare<[string], { version: string; saved_at: string; document: string }>(
			'SELECT version, saved_at, document FROM guide_version WHERE guide_id = ? ORDER BY saved_at DESC, seq DESC'
		)
		.all(guideId)
		.map(({ version, saved_at, document }) => ({
			version,
			savedAt: saved_at,
			document: fromJson<PackDocument>(document)
		}));
}

/**
 * Puts a checked guide into use. A version is kept for good and never written over.
 * @throws ActionError where this version was already saved with other content
 */
export function saveGuide(db: Database, document: PackDocument, savedAt: string): void {
	const { id, version, title } = document;
	const text = JSON.stringify(document);
	act(db, { label: `Saved the guide ${title} ${version}` }, (writer) => {
		const key = `${id}@${version}`;
		const before = db
			.prepare<[string], { document: string }>('SELECT document FROM guide_version WHERE id = ?')
			.get(key);
		if (before && before.document !== text) {
			throw new ActionError(
				`Version ${version} of ${title} is already in the book with other numbers; raise the version.`
			);
		}
		if (!before) writer.insert('guide_version', { id: key, guide_id: id, version, saved_at: savedAt, document: text });
		writer.put('guide', { id, document: text, saved_at: savedAt });
	});
}

/** Takes a guide out of the book; its versions stay. */
export function removeGuide(db: Database, guideId: string, title: string): void {
	act(db, { label: `Removed the guide ${title}` }, (writer) => writer.remove('guide', guideId));
}

const OFF = 'guidesOff';

/** Ids of guides that stand aside: their columns are not shown. */
export function guidesOff(db: Database): ReadonlySet<string> {
	const row = db.prepare<[string], { value: string }>('SELECT value FROM setting WHERE id = ?').get(OFF);
	return new Set(row ? fromJson<string[]>(row.value) : []);
}

export function setGuideOff(db: Database, id: string, title: string, off: boolean): void {
	const now = new Set(guidesOff(db));
	if (off) now.add(id);
	else now.delete(id);
	act(db, { label: off ? `Set ${title} aside` : `Took ${title} into use` }, (writer) =>
		writer.put('setting', { id: OFF, value: JSON.stringify([...now].sort()) })
	);
}
