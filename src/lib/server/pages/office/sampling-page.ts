import { partText } from '../../../../core/ground/sampling/part-text';
import { serialIn } from '../../../../core/ground/sampling/bag-code';
import { sampleDue, samplingDay } from '../../../../core/ground/sampling/sample-age';
import { longDate } from '../../../../core/units/day-text';
import { layerText } from '../../../../core/units/length-text';
import type { Desk } from '../../desk';
import { planningYear } from '../../field/planning-year';
import { yearOf } from '../../field/year-of';
import { listFields } from '../../stores/fields';
import { countZones } from '../../stores/ground-maps';
import { listBags, stageOf, type BagRecord } from '../../stores/sampling/bags';
import { rosterRows } from '../whole-book/roster-page';

/** The fields that are due for sampling, and how far every bag has come. */
export function samplingPage(desk: Desk, query: URLSearchParams) {
	const { book, library, today, settings } = desk;
	const asked = query.get('year');
	const year = asked ? yearOf(asked) : planningYear(today);
	const grounds = new Map(listFields(book).map((field) => [field.id, field]));
	const perennials = new Set(library.crops.flatMap(({ id, perennial }) => (perennial ? [id] : [])));
	const zones = countZones(book);
	const bags = listBags(book);
	const underWay = new Map<string, number>();
	for (const { fieldId, sampleId } of bags) {
		if (sampleId === null) underWay.set(fieldId, (underWay.get(fieldId) ?? 0) + 1);
	}
	return {
		title: 'Sampling plan',
		year,
		today,
		units: settings.units,
		fields: rosterRows(desk, year).map((row) => {
			const { texture, block } = grounds.get(row.id)!;
			// A planting stands on, also in a year without a goal yet.
			const perennial = row.crop === null ? block !== null : perennials.has(row.crop);
			return {
				...row,
				zones: zones.get(row.id) ?? 0,
				underWay: underWay.get(row.id) ?? 0,
				due: sampleDue(row.sampledOn ?? undefined, { textureClass: texture ?? undefined, perennial }, samplingDay(year))
			};
		}),
		/** Those planned for the year; of a long book they would be too many. */
		bags: bags
			.filter(({ code }) => serialIn(code, year) > 0)
			.map((one) => {
				const { id, code, fieldId, field, grower, bag } = one;
				const part = partText(bag) ?? 'whole field';
				const isPoint = bag.point !== undefined;
				return {
					id,
					code,
					fieldId,
					field,
					grower,
					part,
					isPoint,
					cores: bag.cores,
					depth: layerText(bag.depth, settings.units),
					...chainOf(one)
				};
			})
	};
}

export type SamplingPage = ReturnType<typeof samplingPage>;

/** Where a bag stands, since when, and by or with whom. */
function chainOf(record: BagRecord): { stage: ReturnType<typeof stageOf>; stands: string } {
	const { pulledOn, pulledBy, sentOn, lab, plannedOn } = record.bag;
	const stage = stageOf(record);
	const pulled = pulledOn === undefined ? [] : [`pulled ${longDate(pulledOn)}${pulledBy ? ` by ${pulledBy}` : ''}`];
	const sent = sentOn === undefined ? [] : [`sent ${longDate(sentOn)}${lab ? ` to ${lab}` : ''}`];
	const back = stage === 'back' ? ['back from the lab'] : [];
	return { stage, stands: [...pulled, ...sent, ...back].join(', ') || `planned ${longDate(plannedOn)}` };
}
