import { validator } from '$core/check/validator';
import type { UndoAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { undo } from '$lib/server/book/act';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asUndo = validator<UndoAction>('actions#/definitions/UndoAction');

export const POST: RequestHandler = ({ request }) => answerJson(request, asUndo, ({ event }) => undo(theBook(), event));
