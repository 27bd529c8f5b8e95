import { InputError } from '../../../../core/check/problem';
import { cropOf } from '../../../../core/rates/advise';
import type { Work } from '../../../../core/schema-types';
import { readCropList, type CropLine } from '../../../../core/season/house/read-crop-list';
import type { FieldRow } from '../../stores/fields';
import { cropListWork, cropWork } from './crop-work';
import { daysWork, productWork, roundingWork } from './pass-work';
import type { Planned } from './planned';
import { programmeWork, proposalWork } from './season-work';
import type { WorkGround } from './work-ground';

/** A piece of work as it is done to one field after the other, and what the history says of it. */
export interface WorkPlan {
	/** "Took a house programme". */
	label: string;
	planFor: (field: FieldRow) => Planned;
}

/**
 * Makes a piece of work ready for its fields.
 * @param fields all of them: names in a pasted list are theirs
 * @throws InputError naming what in the work is not known
 */
export function workPlan(ground: WorkGround, work: Work, fields: readonly FieldRow[]): WorkPlan {
	switch (work.kind) {
		case 'crop':
			if (work.crop !== undefined) cropOf(work.crop, ground.library.crops, '/work/crop');
			return { label: `Set crop and goal for ${ground.year}`, planFor: (field) => cropWork(ground, field, work) };
		case 'crop list': {
			const lines = linesByField(ground, work.text, fields);
			return {
				label: `Set crop and goal for ${ground.year} by a list`,
				planFor: (field) => cropListWork(ground, field, lines.get(field.id))
			};
		}
		case 'programme': {
			const named = ground.programmes.find(({ id }) => id === work.programme);
			if (work.programme !== undefined && !named) refuse('programme', work.programme, 'no house programme of the book');
			const label = named ? `Took the house programme ${named.name}` : 'Took house programmes';
			return { label, planFor: (field) => programmeWork(ground, field, work) };
		}
		case 'proposal':
			return { label: 'Proposed passes', planFor: (field) => proposalWork(ground, field) };
		case 'product': {
			const [from, to] = (['from', 'to'] as const).map((key) => productNamed(ground, key, work[key]));
			return { label: `Took ${to} for ${from}`, planFor: (field) => productWork(ground, field, work) };
		}
		case 'days': {
			if (work.product !== undefined) productNamed(ground, 'product', work.product);
			const by = `${Math.abs(work.days)} ${Math.abs(work.days) === 1 ? 'day' : 'days'}`;
			return {
				label: `Moved passes ${by} ${work.days < 0 ? 'earlier' : 'later'}`,
				planFor: (field) => daysWork(ground, field, work)
			};
		}
		case 'rounding':
			return { label: 'Rounded the rates of passes', planFor: (field) => roundingWork(ground, field, work) };
	}
}

function productNamed({ library }: WorkGround, key: string, id: string): string {
	const found = library.products.find((product) => product.id === id);
	if (!found) refuse(key, id, 'no product the program knows');
	return found!.name;
}

function refuse(key: string, value: string, what: string): void {
	throw new InputError([{ path: `/work/${key}`, message: `"${value}" is ${what}` }]);
}

/** The line of each field; a field goes by its name, or where two share one, by "grower: field". */
function linesByField(
	{ library }: WorkGround,
	text: string,
	fields: readonly FieldRow[]
): ReadonlyMap<string, CropLine> {
	const { lines, problems } = readCropList(text, library.crops);
	const found = new Map<string, CropLine>();
	for (const one of lines) {
		const wanted = one.field.toLowerCase();
		const called = fields.filter(({ name, grower }) =>
			[name, `${grower}: ${name}`].some((known) => known.toLowerCase() === wanted)
		);
		const [field, other] = called;
		const path = `line ${one.line}`;
		if (!field) problems.push({ path, message: `"${one.field}" is none of the chosen fields` });
		else if (other) {
			const names = called.map(({ name, grower }) => `${grower}: ${name}`).join(' or ');
			problems.push({ path, message: `two fields are named "${one.field}": write ${names}` });
		} else found.set(field.id, one);
	}
	if (problems.length > 0) throw new InputError(problems);
	return found;
}
