import type { FieldAddress } from '../desk';
import type { Advice } from '../field/field-year';
import { yearOf } from '../field/year-of';
import { ActionError } from '../book/action-error';
import { findField, type FieldRow } from '../stores/fields';
import { findFieldYear, type FieldYearRow } from '../stores/field-years';
import type { Call } from './operation';
import { NotThere } from './refusals';

type AtField = Pick<Call<'{field}'>, 'params' | 'desk'>;
interface AtYear {
	params: FieldAddress;
	desk: AtField['desk'];
}

/** The field of an address. */
export function fieldAt({ params, desk }: AtField): FieldRow {
	const field = findField(desk.book, params.field);
	if (!field) throw new NotThere('There is no such field in this book.');
	return field;
}

/** The row of a field's year; a change needs it. */
export function goalAt({ params, desk }: AtYear): FieldYearRow {
	const goal = findFieldYear(desk.book, params.field, yearOf(params.year));
	if (!goal) throw new ActionError('Set the crop and the yield goal first.');
	return goal;
}

/** What follows from a year where a change needs rates: a sample and a goal. */
export function adviceAt({ params, desk }: AtYear): Advice {
	const { advice, sample } = desk.fieldYear(params);
	if (!advice)
		throw new ActionError(sample ? 'Set the crop and the yield goal first.' : 'The field has no soil sample yet.');
	return advice;
}
