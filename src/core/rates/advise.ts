import { inputReaders } from './input-readers';
import { rateOf } from './rate';
import { figure, notApplicable, type Answer } from '../figure/figure';
import type { PackSet } from '../packs/pack';
import { baseSaturation, cationExchangeCapacity } from '../reading/cec';
import { readReport } from '../reading/findings/read-report';
import { readHoldingRoom } from '../reading/holding-room';
import type { Site } from '../reading/site';
import { soilLayers } from '../reading/soil-layers';
import { InputError } from '../check/problem';
import type { AdviseAnswer, AdviseRequest, Crop, RateNutrient } from '../schema-types';
import { HA_PER_ACRE } from '../units/factors';
import { tidy } from '../units/display';
import { inSystem } from '../units/rate-units';

/** What advice stands on beside the request: guides and crops, loaded once. */
export interface Knowledge {
	packs: PackSet;
	crops: readonly Crop[];
}

/** What rates are given for, in the order in which they are read. */
export const RATE_NUTRIENTS: readonly RateNutrient[] = ['N', 'P2O5', 'K2O', 'S', 'Mg', 'lime'];

/**
 * Rates by every school for one field, what the report lacks, and what was derived from it.
 * @param request checked by schemas/advise-request.schema.json
 * @param today YYYY-MM-DD, for the sample's age where the request has no `asOf`
 * @throws InputError for what no schema sees: a method that does not exist, a layer upside down
 */
export function advise(request: AdviseRequest, knowledge: Knowledge, today: string): AdviseAnswer {
	const site = siteOf(request, knowledge.crops, today);
	const wanted = wantedRules(request, knowledge.packs);
	const prices = request.prices ?? {};
	const rates = RATE_NUTRIENTS.flatMap((nutrient) =>
		wanted
			.filter(({ rule }) => rule.gives === nutrient)
			.map((compiled) => rateOf(compiled, nutrient, site, prices, request.units, inputReaders))
	);
	const cec = cationExchangeCapacity(site.layers);
	return {
		rates,
		findings: readReport({ site, cec, packs: knowledge.packs }),
		derived: derivedOf(site, cec, knowledge.packs, request.units)
	};
}

/** The request as the rules see it. */
export function siteOf(request: AdviseRequest, crops: readonly Crop[], today: string): Site {
	const crop = crops.find(({ id }) => id === request.crop.id);
	if (!crop) {
		throw new InputError([
			{
				path: '/crop/id',
				message: `"${request.crop.id}" is in no crop list; known: ${crops.map(({ id }) => id).join(', ')}`
			}
		]);
	}
	return {
		crop,
		yieldGoal: request.crop.yieldGoal,
		previousCrop: request.crop.previousCrop,
		layers: soilLayers(request.sample),
		sampleDate: request.sample.date,
		asOf: request.asOf ?? today,
		field: request.field,
		targetPh: request.targetPh,
		limeDepthIn: request.limeDepthIn,
		limingMaterial: request.limingMaterial
	};
}

/** Acres of the field, from whichever unit was given; undefined where neither was. */
export function areaAcres({ areaAcres, areaHa }: AdviseRequest['field']): number | undefined {
	return areaAcres ?? (areaHa === undefined ? undefined : areaHa / HA_PER_ACRE);
}

function wantedRules({ methods }: AdviseRequest, { rules }: PackSet) {
	if (methods === undefined) return rules;
	return methods.map((method, index) => {
		const found = rules.find((rule) => rule.method === method && isRate(rule.rule.gives));
		if (found) return found;
		const known = rules.filter(({ rule }) => isRate(rule.gives)).map((rule) => rule.method);
		throw new InputError([
			{ path: `/methods/${index}`, message: `"${method}" is no method; known: ${known.join(', ')}` }
		]);
	});
}

function isRate(gives: string): boolean {
	return (RATE_NUTRIENTS as readonly string[]).includes(gives);
}

function derivedOf(site: Site, cec: Answer, packs: PackSet, units: AdviseRequest['units']): AdviseAnswer['derived'] {
	const { limit, room } = readHoldingRoom(site, packs);
	const shares = baseSaturation(site.layers, cec);
	const saturation: AdviseAnswer['derived']['baseSaturation'] =
		shares.Ca && shares.Mg && shares.K
			? {
					Ca: tidy(shares.Ca.value),
					Mg: tidy(shares.Mg.value),
					K: tidy(shares.K.value),
					...(shares.Na ? { Na: tidy(shares.Na.value) } : {})
				}
			: null;
	const holdingLimit = inSystem(limit, units);
	const holdingRoom = inSystem(room, units);
	const value = (answer: Answer) => (answer.applies ? tidy(answer.value) : null);
	return {
		cec: value(cec),
		baseSaturation: saturation,
		holdingLimit: value(holdingLimit),
		holdingRoom: value(holdingRoom),
		worksheets: {
			cec,
			holdingLimit,
			holdingRoom,
			...Object.fromEntries(Object.entries(shares).map(([cation, share]) => [`${cation}Share`, share])),
			area: areaFigure(site.field)
		}
	};
}

function areaFigure(field: AdviseRequest['field']): Answer {
	const acres = areaAcres(field);
	return acres === undefined
		? notApplicable('area', 'the area of the field is not given', 'Give the area of the field.')
		: figure({ label: 'area', value: acres, unit: 'ac', basis: 'adviser' });
}
