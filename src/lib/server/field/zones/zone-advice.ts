import { advise } from '../../../../core/rates/advise';
import { rateByNow } from '../../../../core/rates/choose';
import { figure, notApplicable, type Answer, type Figure } from '../../../../core/figure/figure';
import type { AdviseAnswer, RateNutrient } from '../../../../core/schema-types';
import { flatAgainstVariable, type FlatAgainstVariable } from '../../../../core/zones/prescription/variable-rates';
import { layersInUse } from '../../../../core/zones/layers-in-use';
import { zoneMeans, zoneValues, type ZoneMeans } from '../../../../core/zones/zone-means';
import { zoneRequest } from '../../../../core/zones/zone-request';
import type { Advice } from '../field-year';
import type { Library } from '../../knowledge';
import type { PriceList } from '../../stores/prices';
import type { LayerRecord, ZoneRecord } from '../../stores/ground-maps';
import { REFERENCE_LIME } from '../field-request';

/** A zone with all that follows for it from the field's choices. */
export interface ZoneAdvice {
	zone: ZoneRecord;
	means: ZoneMeans;
	/** Soil values that hold in it in place of the field's. */
	values: ReturnType<typeof zoneValues>;
	answer: AdviseAnswer;
	/** Rates by the choices of the field, or the zone's own. */
	rates: Map<RateNutrient, { rate: Answer; by: string }>;
	/** What of the zone could not be used. */
	notes: string[];
}

/** Each zone of a field by the methods that the field goes by. */
export function adviseZones(
	{ request, choices }: Pick<Advice, 'request' | 'choices'>,
	zones: readonly ZoneRecord[],
	layers: readonly LayerRecord[],
	library: Library,
	today: string
): ZoneAdvice[] {
	const inUse = layersInUse(layers, request.sample);
	return zones.map((zone) => {
		const means = zoneMeans(zone.shape, inUse.layers);
		const { request: own, notes } = zoneRequest(request, { ...zone, means });
		const answer = advise(own, library, today);
		const rates = new Map(
			choices.map((choice): [RateNutrient, { rate: Answer; by: string }] => {
				const typed = zone.facts.own?.[choice.nutrient];
				if (typed) return [choice.nutrient, { rate: ownRate(choice.nutrient, typed, zone.name), by: typed.reason }];
				const found = rateByNow(choice, answer.rates);
				if (found) return [choice.nutrient, { rate: found.rate, by: found.by }];
				const method = answer.rates.find((rate) => rate.method === choice.method);
				return [
					choice.nutrient,
					{ rate: noRate(choice.nutrient, zone.name, method?.reason), by: method?.packTitle ?? '' }
				];
			})
		);
		return { zone, means, values: zoneValues(zone.facts, means), answer, rates, notes: [...inUse.notes, ...notes] };
	});
}

/** Every chosen nutrient: by zone against one rate for the field. */
export function compareZones(
	{ chosen }: Pick<Advice, 'chosen'>,
	zones: readonly ZoneAdvice[],
	prices: PriceList
): FlatAgainstVariable[] {
	return chosen.map(({ nutrient, rate }) =>
		flatAgainstVariable(
			nutrient,
			rate,
			zones.map(({ zone, rates }) => ({ zone: zone.name, areaAcres: zone.areaAcres, rate: rates.get(nutrient)!.rate })),
			prices.get(nutrient === 'lime' ? `product:${REFERENCE_LIME}` : `nutrient:${nutrient}`)
		)
	);
}

function ownRate(nutrient: RateNutrient, { rate }: { rate: number }, zone: string): Figure {
	return figure({
		label: `${nutrient} in ${zone}, set by the adviser`,
		value: rate,
		unit: nutrient === 'lime' ? 'short ton/ac' : 'lb/ac',
		basis: 'adviser'
	});
}

function noRate(nutrient: RateNutrient, zone: string, reason: string | undefined): Answer {
	return notApplicable(
		`${nutrient} in ${zone}`,
		reason ?? 'the chosen method gives no rate there',
		'Give the zone a rate of its own.'
	);
}
