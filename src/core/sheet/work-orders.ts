import type { SheetContent } from '../schema-types';

type SheetPass = SheetContent['passes'][number];

/** What goes on in one trip over a field, as its driver needs it. */
export interface WorkOrder {
	date: string;
	/** Labels of its passes. */
	title: string;
	passes: SheetPass[];
	machine: string | undefined;
	/** Each once: of the products as they are placed, then those of the whole sheet that hold for every order. */
	cautions: string[];
	/** Distances to keep and the checks that complain of these passes. */
	warnings: string[];
}

/** The orders of a sheet: one for each trip, in order of date. No pass is without the cautions of its product and placement. */
export function workOrders({ passes, checks, cautions }: SheetContent): WorkOrder[] {
	const trips = new Map<string, SheetPass[]>();
	for (const one of passes) {
		const key = one.pass.trip ?? one.pass.id;
		trips.set(key, [...(trips.get(key) ?? []), one]);
	}
	const own = new Set(passes.flatMap((pass) => pass.cautions));
	const always = cautions.filter((caution) => !own.has(caution));
	return [...trips.values()]
		.map((trip): WorkOrder => {
			const ids = new Set(trip.map(({ pass }) => pass.id));
			return {
				date: trip[0]!.pass.date,
				title: trip.map(({ pass }) => pass.label).join(' + '),
				passes: trip,
				machine: trip.find(({ pass }) => pass.machine)?.pass.machine,
				cautions: [...new Set(trip.flatMap((pass) => pass.cautions)), ...always],
				warnings: checks
					.filter(
						({ pass, severity, rule }) =>
							(pass !== undefined && ids.has(pass) && severity !== 'note') || rule === 'setbacks'
					)
					.map(({ text }) => text)
			};
		})
		.sort((a, b) => a.date.localeCompare(b.date));
}
