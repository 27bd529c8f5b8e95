import { error } from '@sveltejs/kit';
import { currentLibrary } from '../current-library';
import { loadFieldYear, type Advice, type FieldYear } from '../field/field-year';
import { ActionError } from '../book/action-error';
import { listCropTests, type CropTest } from '../stores/crop-tests';
import { findFieldYear, type FieldYearRow } from '../stores/field-years';
import { theBook } from '../the-book';
import { today } from '../today';

/** The year of an address; anything but a year is a 404. */
export function yearOf(text: string): number {
	if (!/^(19|20|21)\d\d$/.test(text)) error(404, `“${text}” is not a year.`);
	return Number(text);
}

/** The field-year of an address with all that follows from it. */
export function fieldYearOf({ field, year }: { field: string; year: string }): FieldYear {
	return loadFieldYear(theBook(), currentLibrary(), field, yearOf(year), today());
}

/** The same where a change needs rates: a sample and a goal. */
export function adviceOf(params: { field: string; year: string }): Advice {
	const { advice, sample } = fieldYearOf(params);
	if (!advice)
		throw new ActionError(sample ? 'Set the crop and the yield goal first.' : 'The field has no soil sample yet.');
	return advice;
}

/** The row of a field's year; a change needs it. */
export function goalOf({ field, year }: { field: string; year: string }): FieldYearRow {
	const goal = findFieldYear(theBook(), field, yearOf(year));
	if (!goal) throw new ActionError('Set the crop and the yield goal first.');
	return goal;
}

/** A test in the standing crop of an address's field-year. */
export function cropTestOf(params: { field: string; year: string }, id: string): CropTest {
	const test = listCropTests(theBook(), goalOf(params).id).find((candidate) => candidate.id === id);
	if (!test) throw new ActionError('This test was removed meanwhile. Reload the page.');
	return test;
}
