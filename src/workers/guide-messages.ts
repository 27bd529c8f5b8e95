import type { LineProblem } from '$core/packs/read-pack-text';
import type { OpenFields } from '$lib/server/open-fields';

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

/** A field whose rate by one rule of the guide moves. */
export interface MovedRate {
	field: string;
	grower: string;
	rule: string;
	nutrient: string;
	unit: string;
	/** null where the rule does not apply. */
	before: number | null;
	after: number | null;
}

/** What the worker tells the page. */
export type GuideAnswer =
	| { kind: 'checked'; id: number; problems: LineProblem[]; examples: ExampleOutcome[] }
	| { kind: 'progress'; id: number; done: number; total: number }
	| { kind: 'moved'; id: number; fields: number; rates: number; moved: MovedRate[] };
