import { FOR_THE_FIELD, namedCheck } from './sheet-warnings';
import type { SheetContent, TripLoading } from '../schema-types';
import { byTrip } from '../season/plan/trips';

type SheetPass = SheetContent['passes'][number];

/** Teams begin by turns at either end of a block: common practice. */
const STARTS = ['the road', 'the centre path'] as const;

/** What goes on in one trip over a field, as its driver needs it. */
export interface WorkOrder {
	date: string;
	/** Of the crop, as it usually stands on that day. */
	stage: string | undefined;
	/** Labels of its passes. */
	title: string;
	passes: SheetPass[];
	/** What goes into each tank or box. */
	loads: TripLoading[];
	machine: string | undefined;
	/** Where the team begins, where doses go out to palms by hand; by turns, because who carries tires. */
	startsFrom: (typeof STARTS)[number] | undefined;
	/** Each once: of the products as they are placed, then those of the whole sheet that hold for every order. */
	cautions: string[];
	/** Stops that the sheet was issued over, each with the reason. */
	stops: { text: string; reason: string | undefined }[];
	/** Setbacks and the cautions of these passes. */
	warnings: string[];
}

/** The orders of a sheet: one for each trip, in order of date. No pass is without the cautions of its product and placement. */
export function workOrders(content: SheetContent): WorkOrder[] {
	const { passes, checks, cautions, loading = [] } = content;
	const own = new Set(passes.flatMap((pass) => pass.cautions));
	const always = cautions.filter((caution) => !own.has(caution));
	const orders = [...byTrip(passes, ({ pass }) => pass)]
		.map(([key, trip]): WorkOrder => {
			const ids = new Set(trip.map(({ pass }) => pass.id));
			return {
				date: trip[0]!.pass.date,
				stage: trip[0]!.stage,
				title: trip.map(({ pass }) => pass.label).join(' + '),
				passes: trip,
				loads: loading.find(({ trip: one }) => one === key)?.loads ?? [],
				machine: trip.find(({ pass }) => pass.machine)?.pass.machine,
				startsFrom: undefined,
				cautions: [...new Set(trip.flatMap((pass) => pass.cautions)), ...always],
				stops: checks
					.filter(({ pass, severity }) => severity === 'stop' && (pass === undefined || ids.has(pass)))
					.map((check) => {
						const text = namedCheck(check, content);
						return { text, reason: content.accepted?.find(({ stop }) => stop === text)?.reason };
					}),
				warnings: checks
					.filter(
						({ pass, severity, rule }) =>
							severity !== 'stop' &&
							(rule === 'setbacks' ||
								(pass !== undefined && ids.has(pass) && (severity !== 'note' || FOR_THE_FIELD.has(rule))))
					)
					.map((check) => namedCheck(check, content))
			};
		})
		.sort((a, b) => a.date.localeCompare(b.date));
	let rounds = 0;
	return orders.map((order) =>
		order.machine === undefined && order.passes.some(({ palmDose }) => palmDose)
			? { ...order, startsFrom: STARTS[rounds++ % STARTS.length] }
			: order
	);
}
