import { error } from '@sveltejs/kit';
import { validator } from '$core/check/validator';
import type { EmptyAction, GuideUseAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { removeGuide, setGuideOff } from '$lib/server/stores/guides';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asUse = validator<GuideUseAction>('actions#/definitions/GuideUseAction');
const asEmpty = validator<EmptyAction>('actions#/definitions/EmptyAction');

function titleOf(id: string): string {
	const guide = currentLibrary().packs.packs.find((pack) => pack.id === id);
	if (!guide) error(404, 'There is no such guide.');
	return guide.title;
}

/** Sets a guide aside, so that its columns are not shown, or takes it into use again. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asUse, ({ off }) => setGuideOff(theBook(), params.guide, titleOf(params.guide), off));

/** Takes a guide of the book out; its versions stay. */
export const DELETE: RequestHandler = ({ request, params }) =>
	answerJson(request, asEmpty, () => removeGuide(theBook(), params.guide, titleOf(params.guide)));
