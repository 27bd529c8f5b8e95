import { json } from '@sveltejs/kit';
import { openFields } from '$lib/server/field/open-fields';
import type { RequestHandler } from './$types';

/** The requests of all open fields, for a guide that is being changed to be tried on. */
export const GET: RequestHandler = () => json(openFields());
