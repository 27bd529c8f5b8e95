import { error } from '@sveltejs/kit';
import { findPrescription, type PrescriptionRecord } from '../stores/plan/prescriptions';
import { theBook } from '../the-book';

/** The prescription of an address. */
export function prescriptionOf({ prescription }: { prescription: string }): PrescriptionRecord {
	return findPrescription(theBook(), prescription) ?? error(404, 'There is no such prescription in this book.');
}
