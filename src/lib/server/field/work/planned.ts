import type { Writer } from '../../book/act';

/** What a piece of work does to one field, worked out and not yet written. */
export interface Planned {
	/** In words; empty where the field is so already. */
	changes: string[];
	notes: string[];
	write?: (writer: Writer) => void;
	/** Why nothing can be done here. */
	cannot?: string;
}

export function cannot(why: string): Planned {
	return { changes: [], notes: [], cannot: why };
}
