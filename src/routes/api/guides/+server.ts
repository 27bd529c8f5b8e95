import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import { readPackText } from '$core/packs/read-pack-text';
import { ruleKinds } from '$core/rates/kinds';
import type { GuideAction, PackDocument } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { ActionError } from '$lib/server/book/action-error';
import { theLibrary } from '$lib/server/knowledge';
import { saveGuide } from '$lib/server/stores/guides';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asGuide = validator<GuideAction>('actions#/definitions/GuideAction');

/** Takes a guide of the adviser's own into the book; refused with every problem and its line. */
export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asGuide, ({ text }) => {
		const { document, problems } = readPackText(text, ruleKinds);
		if (problems.length > 0) throw new InputError(problems);
		const guide = document as PackDocument;
		if (theLibrary().packs.packs.some(({ id }) => id === guide.id)) {
			throw new ActionError(
				`“${guide.id}” is the name of a guide that comes with the program; give your copy another id.`
			);
		}
		saveGuide(theBook(), guide, new Date().toISOString());
		return { id: guide.id };
	});
