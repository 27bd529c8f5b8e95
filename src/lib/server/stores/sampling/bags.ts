import { layerText } from '../../../../core/units/length-text';
import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { LabelledBag } from '../../../../core/ground/lab-file/labelled-bag';
import { partText } from '../../../../core/ground/sampling/part-text';
import { gridPoints } from '../../../../core/ground/sampling/grid-points';
import type { Shape } from '../../../../core/ground/shapes/shape';
import { bagCode, serialIn } from '../../../../core/ground/sampling/bag-code';
import type { Bag, MarkBagsAction, PlanBagsAction } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { act } from '../../book/act';
import { ActionError } from '../../book/action-error';
import { fromJson } from '../../from-json';
import { findField } from '../fields';
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
				point: bag.point,
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

/** More bags than this are pulled in no season. */
const MOST_BAGS = 20_000;

const count = (bags: number) => (bags === 1 ? '1 bag' : `${bags} bags`);

/**
 * Plans a bag of each depth from each field, from each of its zones or from each point of a grid, and gives each its code.
 * @param today YYYY-MM-DD
 * @returns the codes, in the order of the fields
 * @throws ActionError where a field has a bag of the same ground and depth on its way already, or no boundary for a grid
 */
export function planBags(
	db: Database,
	{ year, fields, depths, byZone, acresEach, cores }: PlanBagsAction,
	today: string
): string[] {
	const known = listBags(db);
	const wanted = fields.flatMap((field) =>
		bagsOfField(db, field, { depths, byZone, acresEach, cores, plannedOn: today })
	);
	if (wanted.length > MOST_BAGS) {
		throw new ActionError(
			`That would be ${wanted.length} bags; at most ${MOST_BAGS} are planned at once: take fewer fields, or more acres to a point.`
		);
	}
	refuseSecond(known, wanted);
	const label = `Planned to sample ${fields.length === 1 ? 'a field' : `${fields.length} fields`}`;
	return act(db, { label }, (writer) => {
		const last = known.reduce((serial, { code }) => Math.max(serial, serialIn(code, year)), lastSerial(db, year));
		const codes = wanted.map(({ field, bag }, at) => {
			const code = bagCode(year, last + 1 + at);
			const content = JSON.stringify(bag);
			writer.insert('bag', { id: randomUUID(), field_id: field, code, content, sample_id: null });
			return code;
		});
		keepSerial(db, year, last + wanted.length);
		return codes;
	});
}

interface WantedBag {
	field: string;
	bag: Bag;
}

function bagsOfField(
	db: Database,
	field: string,
	{
		depths,
		byZone,
		acresEach,
		...shared
	}: Pick<PlanBagsAction, 'depths' | 'byZone' | 'acresEach' | 'cores'> & { plannedOn: string }
): WantedBag[] {
	const zones = byZone ? listZones(db, field) : [];
	const parts = acresEach === undefined ? zones.map(({ name }) => ({ zone: name })) : pointsOf(db, field, acresEach);
	const grounds = parts.length > 0 ? parts : [{}];
	const round = randomUUID();
	return grounds.flatMap((ground) => depths.map((depth) => ({ field, bag: { ...ground, depth, ...shared, round } })));
}

/** @throws ActionError where a field has no boundary, or is too large for so close a grid */
function pointsOf(db: Database, fieldId: string, acresEach: number): Pick<Bag, 'point'>[] {
	const field = findField(db, fieldId)!;
	if (field.boundary === null) {
		throw new ActionError(`${field.name} has no boundary for a grid of points: draw it, or leave the field out.`);
	}
	const points = gridPoints(fromJson<Shape>(field.boundary), acresEach);
	if (!points) throw new ActionError(`A point for ${acresEach} ac is more than 500 in ${field.name}: take more acres.`);
	return points.map(([x, y], at) => ({ point: { number: at + 1, at: [x!, y!] } }));
}

/** @throws ActionError where a bag of the same ground and depth is on its way */
function refuseSecond(known: readonly BagRecord[], wanted: readonly WantedBag[]): void {
	const open = known.filter(({ sampleId }) => sampleId === null);
	const underWay = new Map(open.map((one) => [groundOf(one.fieldId, one.bag), one]));
	for (const { field, bag } of wanted) {
		const there = underWay.get(groundOf(field, bag));
		if (!there) continue;
		const where = [there.field, partText(bag)].filter(Boolean).join(', ');
		const what = `${where} has a bag of ${layerText(bag.depth, 'us')} on its way: ${there.code}, planned on`;
		throw new ActionError(`${what} ${longDate(there.bag.plannedOn)}. Leave the field out, or remove that bag.`);
	}
}

/** The last running number that was given in a year. */
function lastSerial(db: Database, year: number): number {
	const kept = db.prepare<[string], { value: string }>('SELECT value FROM setting WHERE id = ?').get(counterOf(year));
	return Number(kept?.value ?? 0);
}

/** Kept past every undo: a code that may stand on a label is not given to another bag. */
function keepSerial(db: Database, year: number, serial: number): void {
	db.prepare('INSERT INTO setting (id, value) VALUES (?, ?) ON CONFLICT (id) DO UPDATE SET value = excluded.value').run(
		counterOf(year),
		String(serial)
	);
}

const counterOf = (year: number) => `bags of ${year}`;

const groundOf = (field: string, bag: Bag) => `${field}|${partText(bag) ?? ''}|${layerText(bag.depth, 'us')}`;

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
function plannedPart({ zone, point, depth, cores, plannedOn, round }: Bag): Bag {
	return {
		...(zone === undefined ? {} : { zone }),
		...(point === undefined ? {} : { point }),
		depth,
		cores,
		plannedOn,
		round
	};
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
