import type { MovedRate } from '$core/rates/moved-rates';
import type { LineProblem } from '$core/packs/read-pack-text';
import type { OpenFields } from '$core/rates/open-fields';

/** What the page asks of the worker. A later request takes the place of one that is still running. */
export type GuideRequest =
	{ kind: 'fields'; open: OpenFields } | { kind: 'try'; text: string; id: number } | { kind: 'cancel' };

/** A worked example as it comes out by the text being written. */
export interface ExampleOutcome {
	rule: string;
	index: number;
	comesOut: number | null;
	right: boolean;
}

/** A rate that moves, with the names of its field. */
export type MovedFieldRate = Omit<MovedRate, 'row'> & { field: string; grower: string };

/** What the worker tells the page. */
export type GuideAnswer =
	| { kind: 'checked'; id: number; problems: LineProblem[]; examples: ExampleOutcome[] }
	| { kind: 'progress'; id: number; done: number; total: number }
	| { kind: 'moved'; id: number; fields: number; moved: MovedFieldRate[] };
