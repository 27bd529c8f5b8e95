import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { InputError } from '../../core/check/problem';
import { validator } from '../../core/check/validator';
import { compilePacks } from '../../core/packs/compile-packs';
import { readPackText } from '../../core/packs/read-pack-text';
import type { Knowledge } from '../../core/rates/advise';
import { ruleKinds } from '../../core/rates/kinds';
import type {
	AdditiveCard,
	AdditiveList,
	CautionList,
	CoverCropFacts,
	CropList,
	HouseRules,
	LeafRangeList,
	LeafRanges,
	ManureList,
	PalmEstate,
	RainOutlook,
	Product,
	ProductList,
	Schedule,
	ScheduleExtras,
	ScheduleList,
	ScheduleStep,
	CropStages,
	SeasonLimits,
	SeasonModel,
	StageList,
	Station,
	StationList,
	TrialPreset,
	TrialPresetList,
	WaterLimits,
	WeatherDay
} from '../../core/schema-types';

/** All that the program knows beside the book: guides, crops, products and schedules. */
export interface Library extends Knowledge {
	products: readonly Product[];
	schedules: readonly Schedule[];
	extras: ScheduleExtras;
	starter: ScheduleStep;
	cautions: CautionList;
	seasonModel: SeasonModel;
	seasonLimits: SeasonLimits;
	additives: readonly AdditiveCard[];
	manures: ManureList;
	palmEstate: PalmEstate;
	waterLimits: WaterLimits;
	leafRanges: readonly LeafRanges[];
	trialPresets: readonly TrialPreset[];
	stages: readonly CropStages[];
	stations: readonly Station[];
	/** Whose weather stands for the district, what it measured, and what is expected of the next days. */
	station: Station;
	measured: readonly WeatherDay[];
	/** What each of the book's own stations measured. */
	measuredAt: ReadonlyMap<string, readonly WeatherDay[]>;
	outlook: RainOutlook | undefined;
	houseRules: HouseRules;
}

/**
 * Reads and checks a folder of packs: every `*.json` in it is a guide, `reference/` holds crops, products, schedules.
 * @throws Error naming the file for anything that does not fit or a worked example that does not come out
 */
export function readLibrary(folder: string): Library {
	const guides = readdirSync(folder)
		.filter((name) => name.endsWith('.json'))
		.sort();
	const reference = <T>(name: string) => inFile(path.join(folder, 'reference', `${name}.json`), validator<T>(name));
	const { stations } = reference<StationList>('weather');
	const { crops } = reference<CropList>('crops');
	const known = cropIds({ crops });
	const { schedules, ...plans } = reference<ScheduleList>('schedules');
	const stages = reference<StageList>('stages').crops;
	const leafRanges = reference<LeafRangeList>('leaf-ranges').ranges;
	for (const { crop } of [...schedules, ...stages, ...leafRanges]) {
		if (!known.includes(crop)) throw new Error(`${folder}/reference: “${crop}” is not in crops.json`);
	}
	return {
		packs: compilePacks(
			guides.map((name) => packIn(path.join(folder, name), known)),
			ruleKinds
		),
		crops,
		products: reference<ProductList>('products').products,
		...plans,
		schedules,
		cautions: reference<CautionList>('cautions'),
		seasonModel: reference<SeasonModel>('season-model'),
		coverCrops: reference<CoverCropFacts>('cover-crops'),
		additives: reference<AdditiveList>('additives').additives,
		manures: reference<ManureList>('manures'),
		palmEstate: reference<PalmEstate>('palm-estate'),
		waterLimits: reference<WaterLimits>('water-limits'),
		leafRanges,
		trialPresets: reference<TrialPresetList>('trial-presets').presets,
		seasonLimits: reference<SeasonLimits>('season-limits'),
		stages,
		stations,
		station: stations[0]!,
		measured: [],
		measuredAt: new Map(),
		outlook: undefined,
		houseRules: { noGo: [] }
	};
}

export function cropIds({ crops }: Pick<Library, 'crops'>): string[] {
	return crops.map(({ id }) => id);
}

let library: Library | undefined;

/** The library of this process: the folder in COSECHA_PACKS, else `packs` where the program was started. */
export function theLibrary(): Library {
	library ??= readLibrary(process.env.COSECHA_PACKS ?? 'packs');
	return library;
}

/** A pack's document; its problems are told with file and line. */
function packIn(file: string, crops: readonly string[]): unknown {
	const { document, problems } = readPackText(readFileSync(file, 'utf8'), ruleKinds, crops);
	const [first] = problems;
	if (first) throw new Error(`${file}:${first.line}: ${first.path} ${first.message}`);
	return document;
}

function inFile<T>(file: string, use: (document: unknown) => T): T {
	try {
		return use(JSON.parse(readFileSync(file, 'utf8')));
	} catch (error) {
		if (error instanceof InputError || error instanceof SyntaxError) {
			throw new Error(`${file}: ${error.message}`, { cause: error });
		}
		throw error;
	}
}
