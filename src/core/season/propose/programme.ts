import type { Pass } from '../../schema-types';

/** Passes that are proposed, and in words what could not be placed in them. */
export interface Programme {
	passes: Pass[];
	notes: string[];
}
