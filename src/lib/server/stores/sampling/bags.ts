import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { LabelledBag } from '../../../../core/ground/lab-file/labelled-bag';
import { bagCode, serialIn } from '../../../../core/ground/sampling/bag-code';
import type { Bag, MarkBagsAction, PlanBagsAction } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { act } from '../../book/act';
import { ActionError } from '../../book/action-error';
import { fromJson } from '../../from-json';
import { listZones } from '../ground-maps';

export interface BagRecord {
	id: string;
	code: string;
	fieldId: string;
	field: string;
	grower: string;
	bag: Bag;
	/** The sample that came back; null until then. */
	sampleId: string | null;
}

type BagRow = Omit<BagRecord, 'bag'> & { content: string };

/** Every bag of the book, the newest plan first. */
export function listBags(db: Database): BagRecord[] {
	return db
		.prepare<[], BagRow>(
			`SELECT b.id, b.code, b.field_id AS fieldId, f.name AS field, g.name AS grower, b.content, b.sample_id AS sampleId
			FROM bag b JOIN field f ON f.id = b.field_id JOIN grower g ON g.id = f.grower_id
			ORDER BY b.code DESC`
		)
		.all()
		.map(({ content, ...row }) => ({ ...row, bag: fromJson<Bag>(content) }));
}

/** The bags of the book by the code on their labels, as a lab's file may name them. */
export function labelledBags(db: Database): Map<string, LabelledBag> {
	return new Map(
		listBags(db).map(({ code, fieldId, field, grower, bag, sampleId }) => [
			code,
			{
				code,
				fieldId,
				field,
				grower,
				zone: bag.zone,
				depth: bag.depth,
				pulledOn: bag.pulledOn,
				back: sampleId !== null
			}
		])
	);
}

/** How far a bag has come. */
export function stageOf({
	bag,
	sampleId
}: Pick<BagRecord, 'bag' | 'sampleId'>): 'planned' | 'pulled' | 'sent' | 'back' {
	if (sampleId !== null) return 'back';
	if (bag.sentOn !== undefined) return 'sent';
	return bag.pulledOn === undefined ? 'planned' : 'pulled';
}

const count = (bags: number) => (bags === 1 ? '1 bag' : `${bags} bags`);

/**
 * Plans a bag of each depth from each field, or from each of its zones, and gives each its code.
 * @param today YYYY-MM-DD
 * @returns the codes, in the order of the fields
 * @throws ActionError where a field has a bag of the same ground and depth on its way already
 */
export function planBags(
	db: Database,
	{ year, fields, depths, byZone, cores }: PlanBagsAction,
	today: string
): string[] {
	const known = listBags(db);
	const underWay = new Map(
		known.filter(({ sampleId }) => sampleId === null).map((one) => [groundOf(one.fieldId, one.bag), one])
	);
	return act(
		db,
		{ label: `Planned to sample ${fields.length === 1 ? 'a field' : `${fields.length} fields`}` },
		(writer) => {
			const counter = `bags of ${year}`;
			const kept = db.prepare<[string], { value: string }>('SELECT value FROM setting WHERE id = ?').get(counter);
			let serial = known.reduce((last, { code }) => Math.max(last, serialIn(code, year)), Number(kept?.value ?? 0));
			const codes: string[] = [];
			for (const field of fields) {
				const zones = byZone ? listZones(db, field) : [];
				const round = randomUUID();
				for (const zone of zones.length > 0 ? zones.map(({ name }) => name) : [undefined]) {
					for (const depth of depths) {
						const bag: Bag = { ...(zone === undefined ? {} : { zone }), depth, cores, plannedOn: today, round };
						const there = underWay.get(groundOf(field, bag));
						if (there) {
							const where = [there.field, zone].filter(Boolean).join(', ');
							throw new ActionError(
								`${where} has a bag of ${depthText(depth)} on its way: ${there.code}, planned on ${longDate(there.bag.plannedOn)}. Leave the field out, or remove that bag.`
							);
						}
						const code = bagCode(year, ++serial);
						writer.insert('bag', {
							id: randomUUID(),
							field_id: field,
							code,
							content: JSON.stringify(bag),
							sample_id: null
						});
						codes.push(code);
					}
				}
			}
			// Kept apart from the bags: a code that stood on a label is not given to another bag.
			writer.put('setting', { id: counter, value: String(serial) });
			return codes;
		}
	);
}

const groundOf = (field: string, { zone, depth }: Bag) => `${field}|${zone ?? ''}|${depthText(depth)}`;

/** "0-8 in". */
export function depthText({ top, bottom, depthUnit }: Bag['depth']): string {
	return `${top}-${bottom} ${depthUnit}`;
}

/**
 * Says that bags were pulled or sent, as one action.
 * @throws ActionError where one is back already, or is sent before it was pulled
 */
export function markBags(db: Database, { bags, stage, on, who }: MarkBagsAction): void {
	const done = { planned: 'Marked as planned again', pulled: 'Marked as pulled', sent: 'Marked as sent' }[stage];
	act(db, { label: `${done}: ${count(bags.length)}` }, (writer) => {
		for (const one of bagsNamed(db, bags)) {
			if (stage === 'sent' && one.bag.pulledOn === undefined) {
				throw new ActionError(`${one.code} of ${one.field} is not pulled yet: say first when it was pulled.`);
			}
			if (stage === 'sent' && one.bag.pulledOn! > on) {
				throw new ActionError(
					`${one.code} of ${one.field} was pulled on ${longDate(one.bag.pulledOn!)}: it cannot have been sent on ${longDate(on)}.`
				);
			}
			const said = {
				planned: plannedPart(one.bag),
				pulled: { ...plannedPart(one.bag), pulledOn: on, ...(who === undefined ? {} : { pulledBy: who }) },
				sent: { ...one.bag, sentOn: on, ...(who === undefined ? {} : { lab: who }) }
			}[stage];
			writer.update('bag', one.id, { content: JSON.stringify(said) });
		}
	});
}

/** A bag as it was before anybody went out. */
function plannedPart({ zone, depth, cores, plannedOn, round }: Bag): Bag {
	return { ...(zone === undefined ? {} : { zone }), depth, cores, plannedOn, round };
}

/**
 * Takes bags off the plan.
 * @throws ActionError where one is back already
 */
export function removeBags(db: Database, bags: readonly string[]): void {
	act(db, { label: `Removed ${count(bags.length)} from the sampling plan` }, (writer) => {
		for (const { id } of bagsNamed(db, bags)) writer.remove('bag', id);
	});
}

/** The bags of these ids that are still on their way. */
function bagsNamed(db: Database, ids: readonly string[]): BagRecord[] {
	const all = new Map(listBags(db).map((one) => [one.id, one]));
	return ids.map((id) => {
		const one = all.get(id);
		if (!one) throw new ActionError('A bag was removed meanwhile. Reload the page.');
		if (one.sampleId !== null)
			throw new ActionError(`${one.code} of ${one.field} is back from the lab; it stays as it is.`);
		return one;
	});
}
