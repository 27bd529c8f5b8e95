import { error } from '@sveltejs/kit';
import { deskOf } from '$lib/server/desk';
import { trialFile } from '$lib/server/files/trial-file/trial-file';
import { trialOf } from '$lib/server/http/trial-param';
import { ActionError } from '$lib/server/book/action-error';
import { InputError } from '$core/check/problem';
import type { RequestHandler } from './$types';

/** A trial as a file; see `TRIAL_FILES`. A prescription asks for `product`. */
export const GET: RequestHandler = async ({ params, url, locals }) => {
	try {
		return await trialFile(deskOf(locals), trialOf(params), params.kind, url.searchParams.get('product'));
	} catch (fault) {
		if (fault instanceof ActionError || fault instanceof InputError) error(422, fault.message);
		throw fault;
	}
};
