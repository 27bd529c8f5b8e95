import { yieldUnitOf, valueFromSystem } from '../../../../core/units/rate-units';
import { randomUUID } from 'node:crypto';
import { cropOf } from '../../../../core/rates/advise';
import { previousCropOf } from '../../../../core/rates/second-crop/previous-crop';
import { goalFault } from '../../../../core/ground/possible-range';
import type { Crop, CropWork } from '../../../../core/schema-types';
import { cropByRotation } from '../../../../core/season/house/next-crop';
import { goalByHarvests } from '../../../../core/season/house/goal-by-harvests';
import type { CropLine } from '../../../../core/season/house/read-crop-list';
import { quantityIn } from '../../../../core/units/amount-text';
import type { Writer } from '../../book/act';
import type { FieldRow } from '../../stores/fields';
import { listFieldYears, type FieldYearRow } from '../../stores/field-years';
import { lastCropOf } from '../../stores/plan/after-the-harvest';
import { writeChoices } from '../../stores/plan/write-season';
import { carriedInto } from './carried-over';
import { cannot, type Planned } from './planned';
import type { WorkGround } from './work-ground';

/** Crop, goal and previous crop of a year, by the rotation and the harvests in the book, with what the year before carries into it. */
export function cropWork(ground: WorkGround, field: FieldRow, work: CropWork): Planned {
	const { library, year, book } = ground;
	const years = listFieldYears(book, field.id);
	const id = work.crop ?? rotationOf(library.crops, years, year);
	if (id === undefined) {
		const before = years.find((one) => one.year === year - 1);
		return cannot(
			before
				? `nothing says what comes after ${nameOf(before.crop, library.crops)}: name the next crop, or choose one here`
				: `no crop of ${year - 1} is in the book: choose one here`
		);
	}
	const crop = cropOf(id, library.crops, '/work/crop');
	const goal = goalOf(work, crop, years, year);
	return 'cannot' in goal ? cannot(goal.cannot) : setCrop(ground, field, years, crop, goal);
}

/** Crop and goal as a pasted list has them. */
export function cropListWork(ground: WorkGround, field: FieldRow, line: CropLine | undefined): Planned {
	if (!line) return cannot('not in the list');
	const years = listFieldYears(ground.book, field.id);
	const amount = valueFromSystem(line.goal, yieldUnitOf(line.crop), field.units);
	return setCrop(ground, field, years, line.crop, { amount, why: '' });
}

interface Goal {
	amount: number;
	/** "mean of the last 3 harvests"; empty where it was typed. */
	why: string;
}

/** A perennial stays, unless another crop was named to come after it; other crops follow the rotation. */
function rotationOf(crops: readonly Crop[], years: readonly FieldYearRow[], year: number): string | undefined {
	const grown = years.map((one) => ({ year: one.year, crop: one.crop, nextCrop: one.next_crop }));
	const before = grown.find((one) => one.year === year - 1);
	const stays = before?.nextCrop === null && crops.some(({ id, perennial }) => perennial && id === before.crop);
	return stays ? before.crop : cropByRotation(grown, year);
}

function goalOf(
	{ goal: { by, harvests = 3, amount }, otherwise, crop: asked }: CropWork,
	crop: Crop,
	years: readonly FieldYearRow[],
	year: number
): Goal | { cannot: string } {
	if (by === 'amount') {
		if (amount !== undefined) return { amount, why: '' };
		return { cannot: 'no goal was typed' };
	}
	const before = years.filter((one) => one.year < year);
	const grown = before.filter((one) => one.crop === crop.id);
	const harvested = grown.flatMap(({ year: of, harvested_yield }) =>
		harvested_yield === null ? [] : [{ year: of, yield: harvested_yield }]
	);
	const named = asked === undefined ? before.find((one) => one.year === year - 1)?.next_yield_goal : undefined;
	if (named) return { amount: named, why: `as named in ${year - 1}` };
	const mean = goalByHarvests(harvested, by === 'best' ? 'best' : harvests, crop.yieldUnit);
	if (mean.applies) return { amount: asHarvested(mean.value), why: mean.formula ?? '' };
	// One number serves one crop: of several it would be in several units.
	if (otherwise !== undefined && asked !== undefined)
		return { amount: otherwise, why: 'no harvest of it is in the book' };
	const last = grown[0];
	if (last) return { amount: last.yield_goal, why: `the goal of ${last.year}: no harvest of it is in the book` };
	return {
		cannot: `no harvest of ${crop.name.toLowerCase()} is in the book: ${asked === undefined ? 'choose the crop and type its goal' : 'type a goal for such fields'}`
	};
}

const DIGITS = 3;
const WHOLE_FROM = 10 ** DIGITS;

/** Three digits: a mean of harvests is not known better. */
function asHarvested(value: number): number {
	return value >= WHOLE_FROM ? Math.round(value) : Number(value.toPrecision(DIGITS));
}

function setCrop(
	ground: WorkGround,
	field: FieldRow,
	years: readonly FieldYearRow[],
	crop: Crop,
	{ amount, why }: Goal
): Planned {
	const { library, year } = ground;
	const fault = goalFault(crop.id, amount);
	const said = quantityIn(field.units, amount, yieldUnitOf(crop));
	if (fault?.fault === 'impossible') {
		return cannot(
			`${said} is no goal for ${crop.name.toLowerCase()}: it must be ${quantityIn(field.units, fault.bounds, yieldUnitOf(crop))}`
		);
	}
	const now = years.find((one) => one.year === year);
	const before = years.find((one) => one.year === year - 1);
	const previous = before ? previousCropOf(lastCropOf(before)) : (now?.previous_crop ?? null);
	const carried = carriedInto(ground, field, before, now, crop);
	const so = now?.crop === crop.id && now.yield_goal === amount && now.previous_crop === previous;
	if (so && carried.choices.length === 0) return { changes: [], notes: carried.notes };
	const replants = now !== undefined && now.crop !== crop.id;
	const goal = { crop: crop.id, yield_goal: amount, previous_crop: previous };
	return {
		changes: [
			`${crop.name} ${said}${why ? ` (${why})` : ''}`,
			...(before ? [`after ${nameOf(lastCropOf(before), library.crops).toLowerCase()}`] : []),
			...carried.changes
		],
		notes: [
			...(replants ? [`${nameOf(now.crop, library.crops)} was planned: look at its rates and passes again`] : []),
			...carried.notes
		],
		write: (writer: Writer) => {
			const id = now?.id ?? randomUUID();
			if (now) writer.update('field_year', id, goal);
			else writer.insert('field_year', { id, field_id: field.id, year, ...goal, ...staying(years, crop, year) });
			writeChoices(writer, { id }, carried.choices);
		}
	};
}

/** What holds of a field or a crop from year to year: rows as with this crop before, liming and target as the year before. */
function staying(years: readonly FieldYearRow[], { id }: Crop, year: number) {
	const before = years.filter((one) => one.year < year);
	const last = before[0];
	const ofCrop = before.find(({ crop }) => crop === id);
	return {
		row_spacing_in: ofCrop?.row_spacing_in ?? null,
		starter_p2o5: ofCrop?.starter_p2o5 ?? null,
		residue_removed_percent: ofCrop?.residue_removed_percent ?? null,
		target_ph: last?.target_ph ?? null,
		target_ph_scale: last?.target_ph_scale ?? null,
		liming_product: last?.liming_product ?? null,
		lime_depth_in: last?.lime_depth_in ?? null,
		lime_placement: last?.lime_placement ?? null
	};
}

function nameOf(id: string, all: readonly Crop[]): string {
	return all.find((crop) => crop.id === id)?.name ?? id;
}
