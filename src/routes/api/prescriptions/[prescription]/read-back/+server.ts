import { prescriptionDifferences } from '$core/zones/prescription/prescription-differences';
import { prescriptionOf } from '$lib/server/http/prescription-param';
import { readPrescription } from '$lib/server/files/prescription-file/read-prescription';
import { answerFile } from '$lib/server/http/uploaded-file';
import type { RequestHandler } from './$types';

/** What a file says otherwise than the prescription; nothing is kept. */
export const POST: RequestHandler = ({ request, params }) =>
	answerFile(request, async ({ name, bytes }) => {
		const { content } = prescriptionOf(params);
		const read = await readPrescription(name, bytes, content.unit);
		return { parts: read.parts.length, differences: prescriptionDifferences(content, read) };
	});
