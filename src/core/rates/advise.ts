import { isOneOf } from '../check/typed-object';
import { figure, notApplicable, type Answer } from '../figure/figure';
import type { CompiledRule, PackSet } from '../packs/pack';
import { plantAge } from '../ground/block/block-age';
import { plantsPerAcre, rowFeetPerAcre, treatedShare } from '../ground/block/plant-density';
import { baseSaturation, cationExchangeCapacity } from '../reading/soil/cec';
import { readReport } from '../reading/findings/read-report';
import { readHoldingRoom } from '../reading/holding-room';
import type { Site } from '../reading/site';
import { SiteReading } from '../reading/site-reading';
import { servingSoil } from '../reading/soil/serving-soil';
import { soilLayers } from '../reading/soil/soil-layers';
import { InputError } from '../check/problem';
import type {
	AdviseAnswer,
	AdviseRequest,
	CoverCropFacts,
	Crop,
	LeafRanges,
	Outlook,
	RateNutrient,
	WaterLimits
} from '../schema-types';
import { HA_PER_ACRE } from '../units/factors';
import { tidy } from '../units/display';
import { inSystem, type UnitSystem } from '../units/rate-units';
import { checkGoal } from './check-goal';
import { inputReaders } from './input-readers';
import { limingOf } from './lime/liming';
import { outlookOf, rotationOf } from './outlook/six-year-outlook';
import { bothYears } from './phosphorus-potassium/both-years';
import { coverNitrogen } from './nitrogen/cover-nitrogen';
import { nitrogenAccount } from './nitrogen/nitrogen-account';
import { nitrogenParts } from './nitrogen/nitrogen-parts';
import { checkCurve } from './nitrogen/check-curve';
import { isSimulated, ownCurveRules } from './nitrogen/own-curves';
import { withObjective } from './nitrogen/with-objective';
import { rateOf } from './rate';
import { isByTheYear, isTwoYear, secondRates, secondSite } from './second-crop/second-rates';

/** What advice stands on beside the request: guides and crops, loaded once. */
export interface Knowledge {
	packs: PackSet;
	crops: readonly Crop[];
	/** By which the nitrogen of a cover crop is judged. */
	coverCrops: CoverCropFacts;
	/** What leaf tests are read against; left out where rates alone are asked. */
	leafRanges?: readonly LeafRanges[];
	/** What irrigation water is read against; left out likewise. */
	waterLimits?: WaterLimits;
}

/** Rounding of one of two areas, share: judgement. */
const SAME_AREA = 0.01;

/** What rates are given for, in the order in which they are read. */
export const RATE_NUTRIENTS: readonly RateNutrient[] = [
	'N',
	'P2O5',
	'K2O',
	'S',
	'Mg',
	'Ca',
	'lime',
	'B',
	'Zn',
	'Mn',
	'Cu'
];

/**
 * Rates by every school for one field, what the report lacks, and what was derived from it.
 * @param request checked by schemas/advise-request.schema.json
 * @param today YYYY-MM-DD, for the sample's age where the request has no `asOf`
 * @throws InputError for what no schema sees: a method that does not exist, a layer upside down
 */
export function advise(
	request: AdviseRequest,
	knowledge: Knowledge,
	today: string,
	words: UnitSystem = request.units
): AdviseAnswer {
	request.responseCurves?.forEach((curve, at) => checkCurve(curve, `/responseCurves/${at}`));
	const site = siteOf(request, knowledge, today, words);
	const reading = new SiteReading(site, inputReaders);
	const wanted = wantedRules(request, knowledge.packs);
	const prices = request.prices ?? {};
	const second = cropGoalOf(request, 'secondCrop', knowledge.crops);
	const next = cropGoalOf(request, 'nextCrop', knowledge.crops);
	const afterFirst = second && reading.of(secondSite(site, second.crop, second.yieldGoal, prices.secondGrain));
	const after = afterFirst ?? (next && reading.of({ ...site, ...next }));
	const rates = RATE_NUTRIENTS.flatMap((nutrient) =>
		wanted
			.filter(({ rule }) => rule.gives === nutrient)
			.map((compiled) => ({
				...rateOf(compiled, nutrient, reading, prices, request.units),
				...(isSimulated(compiled, request) ? { simulated: true as const } : {}),
				...(nutrient === 'N' ? nitrogenParts(compiled, reading, request.units) : {}),
				...(nutrient === 'lime' ? { liming: limingOf(compiled, reading, knowledge.packs, prices, request.units) } : {}),
				...(after && isTwoYear(nutrient) && isByTheYear(compiled, site.crop)
					? { bothYears: inSystem(bothYears(compiled, reading, after, after === afterFirst), request.units) }
					: {})
			}))
	);
	const cec = cationExchangeCapacity(site.soil);
	return {
		rates,
		...(afterFirst ? { secondRates: secondRates(wanted, afterFirst, request) } : {}),
		findings: readReport({ site, cec, packs: knowledge.packs, ...referencesOf(knowledge) }),
		derived: derivedOf(site, cec, knowledge.packs, request.units),
		nitrogen: nitrogenAccount(site, knowledge.packs, request.units),
		...(request.outlookYears === undefined
			? {}
			: { outlooks: adviseOutlooks(request, wanted, reading, knowledge.packs) })
	};
}

function referencesOf({ leafRanges, waterLimits }: Knowledge) {
	return { leafRanges, waterLimits };
}

function adviseOutlooks(
	request: AdviseRequest,
	wanted: readonly CompiledRule[],
	reading: SiteReading,
	packs: PackSet
): Outlook[] {
	const { outlookYears = 0 } = request;
	const rotation = rotationOf(request);
	return wanted.flatMap((compiled) => {
		const { gives } = compiled.rule;
		if (gives !== 'P2O5' && gives !== 'K2O') return [];
		return [outlookOf(compiled, gives, reading, rotation, outlookYears, packs)];
	});
}

function cropGoalOf(request: AdviseRequest, which: 'secondCrop' | 'nextCrop', crops: readonly Crop[]) {
	const goal = request[which];
	return goal && { crop: cropOf(goal.id, crops, `/${which}/id`), yieldGoal: goal.yieldGoal };
}

/**
 * A crop of the list.
 * @throws InputError where the list does not have it
 */
export function cropOf(id: string, crops: readonly Crop[], path: string): Crop {
	const crop = crops.find((candidate) => candidate.id === id);
	if (crop) return crop;
	const known = crops.map((candidate) => candidate.id).join(', ');
	throw new InputError([{ path, message: `"${id}" is in no crop list; known: ${known}` }]);
}

/** The request as the rules see it. */
export function siteOf(
	request: AdviseRequest,
	{ crops, coverCrops }: Pick<Knowledge, 'crops' | 'coverCrops'>,
	today: string,
	words: UnitSystem = request.units
): Site {
	const cover = request.nitrogen?.legumeCover;
	const crop = cropOf(request.crop.id, crops, '/crop/id');
	checkGoal(crop, request.crop.yieldGoal, '/crop/yieldGoal');
	checkArea(request.field);
	const asOf = request.asOf ?? today;
	return {
		units: words,
		crop,
		yieldGoal: request.crop.yieldGoal,
		previousCrop: request.crop.previousCrop,
		soil: servingSoil(soilLayers(request.sample, '/sample', words), request.sample.date, request.crop.year, asOf),
		earlier: (request.earlierSamples ?? [])
			.map((sample, index) => ({
				date: sample.date,
				soil: soilLayers(sample, `/earlierSamples/${index}`, words)
			}))
			.sort((a, b) => (b.date ?? '').localeCompare(a.date ?? '')),
		residueShare: (request.crop.residueRemovedPercent ?? 0) / 100,
		nitrogenRate: request.nitrogenRate,
		prices: { grain: request.prices?.grain, nitrogen: request.prices?.nitrogen },
		nitrogen: request.nitrogen ?? {},
		coverNitrogen: cover && coverNitrogen(cover, coverCrops),
		irrigation: request.irrigation,
		programme: request.programme,
		inSeason: request.inSeason ?? {},
		zone: undefined,
		sampleDate: request.sample.date,
		asOf,
		field: request.field,
		targetPh: request.targetPh,
		targetPhScale: request.targetPhScale,
		limePlacement: request.limePlacement ?? (crop.perennial ? 'surface' : 'incorporated'),
		limeDepthIn: request.limeDepthIn,
		limingMaterial: request.limingMaterial,
		block: request.crop.block,
		blockYear: request.crop.blockYear ?? {},
		cropYear: request.crop.year ?? Number(asOf.slice(0, 4)),
		areaAc: areaAcres(request.field)
	};
}

/** Two areas that disagree are a slip in one of them. */
function checkArea({ areaAcres: acres, areaHa }: AdviseRequest['field']): void {
	if (acres === undefined || areaHa === undefined) return;
	const other = areaHa / HA_PER_ACRE;
	if (Math.abs(other - acres) <= SAME_AREA * acres) return;
	const message = `must agree with areaAcres (${tidy(acres * HA_PER_ACRE)} ha), or be left out; got ${areaHa}`;
	throw new InputError([{ path: '/field/areaHa', message }]);
}

/** Acres of the field, from whichever unit was given; undefined where neither was. */
export function areaAcres({ areaAcres, areaHa }: AdviseRequest['field']): number | undefined {
	return areaAcres ?? (areaHa === undefined ? undefined : areaHa / HA_PER_ACRE);
}

/** Every rule that may give a rate here: the guides' and the adviser's own curves, at the objective that is asked for. */
export function rulesFor(request: AdviseRequest, packs: PackSet): CompiledRule[] {
	return [...packs.rules, ...ownCurveRules(request)].map((rule) => withObjective(rule, request.nitrogen ?? {}));
}

function wantedRules(request: AdviseRequest, packs: PackSet) {
	const rules = rulesFor(request, packs);
	const { methods } = request;
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

/** Whether a rule gives a rate, and not a part of the reading. */
export function isRateRule({ rule }: CompiledRule): boolean {
	return isRate(rule.gives);
}

function isRate(gives: string): boolean {
	return isOneOf(RATE_NUTRIENTS, gives);
}

function derivedOf(site: Site, cec: Answer, packs: PackSet, units: AdviseRequest['units']): AdviseAnswer['derived'] {
	const { limit, room } = readHoldingRoom(site, packs);
	const shares = baseSaturation(site.soil, cec);
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
			area: areaFigure(site.field),
			...blockFigures(site, units)
		}
	};
}

/** What is derived of the block itself; nothing without one. */
function blockFigures({ block, cropYear, areaAc }: Site, units: AdviseRequest['units']): Record<string, Answer> {
	if (!block) return {};
	return {
		plantAge: plantAge(block, cropYear),
		plantsPerAcre: inSystem(plantsPerAcre(block, areaAc), units),
		rowLength: inSystem(rowFeetPerAcre(block), units),
		treatedShare: treatedShare(block)
	};
}

function areaFigure(field: AdviseRequest['field']): Answer {
	const acres = areaAcres(field);
	return acres === undefined
		? notApplicable('area', 'the area of the field is not given', 'Give the area of the field.')
		: figure({ label: 'area', value: acres, unit: 'ac', basis: 'adviser' });
}
