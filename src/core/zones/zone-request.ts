import type { AdviseRequest, ZoneFacts } from '../schema-types';
import { ZONE_ANALYTES, zoneValues, type ZoneAnalyte, type ZoneMeans } from './zone-means';

/** A piece of a field that is rated on its own. */
export interface RatedGround {
	name: string;
	areaAcres: number;
	facts: ZoneFacts;
	means: ZoneMeans;
}

/** The request of a zone, and what of the zone could not be used. */
export interface ZoneRequest {
	request: AdviseRequest;
	/** In whole sentences. */
	notes: string[];
}

/**
 * The field's request with what holds in the zone in its place: soil values by the field's own depth, unit and method,
 * goal, area, and the strips of this zone alone. What the field's sample does not hold cannot be read in a zone either.
 */
export function zoneRequest(field: AdviseRequest, { name, areaAcres, facts, means }: RatedGround): ZoneRequest {
	const values = zoneValues(facts, means);
	const notes = ZONE_ANALYTES.filter((analyte) => values[analyte] !== undefined && !holds(field, analyte)).map(
		(analyte) =>
			`The field’s own sample holds no ${analyte}, so that its method is not known: the zone’s ${analyte} is left out.`
	);
	const strips = stripsOf(field, name, facts, means);
	return {
		request: {
			...field,
			field: { ...field.field, areaAcres },
			sample: withValues(field.sample, values),
			crop: { ...field.crop, yieldGoal: facts.yieldGoal ?? field.crop.yieldGoal },
			...(strips === undefined ? {} : { inSeason: { ...field.inSeason, strips } })
		},
		notes
	};
}

function holds({ sample }: AdviseRequest, analyte: ZoneAnalyte): boolean {
	return sample.layers.some(({ results }) => results.some((result) => result.analyte === analyte));
}

/** Each value stands where the field's own stood: in the first layer that holds the analyte. */
function withValues(
	sample: AdviseRequest['sample'],
	values: Partial<Record<ZoneAnalyte, number>>
): AdviseRequest['sample'] {
	const left = new Map(Object.entries(values));
	return {
		...sample,
		layers: sample.layers.map((layer) => ({
			...layer,
			results: layer.results.map((result) => {
				const value = left.get(result.analyte);
				if (value === undefined) return result;
				left.delete(result.analyte);
				return { ...result, value, qualifier: undefined };
			})
		}))
	};
}

function stripsOf(
	{ inSeason }: AdviseRequest,
	name: string,
	{ yieldWithout, yieldRich, index, richIndex }: ZoneFacts,
	means: ZoneMeans
): NonNullable<AdviseRequest['inSeason']>['strips'] {
	const all = inSeason?.strips;
	const seen = index ?? means['canopy index']?.mean;
	if (yieldWithout !== undefined && (yieldRich !== undefined || (seen !== undefined && richIndex !== undefined))) {
		const rich = yieldRich !== undefined ? { yieldRich } : { index: seen, richIndex };
		return { ...all, zones: [{ name, yieldWithout, ...rich }] as NonNullable<typeof all>['zones'] };
	}
	const own = all?.zones.filter((zone) => zone.name.toLowerCase() === name.toLowerCase());
	return own && own.length > 0 ? { ...all, zones: own } : all;
}
