import { perYieldOf, type UnitSystem } from '../../units/rate-units';
import { quantityIn } from '../../units/amount-text';
import { sharedParameters } from '../../packs/parameters-of';
import type { CompiledRule, PackSet } from '../../packs/pack';
import type { Crop, CropId } from '../../schema-types';

/** What a crop takes off in each unit of its yield, lb; a nutrient the guide does not list is left out. */
export interface CropRemoval {
	crop: CropId;
	name: string;
	/** "bu", "ton" or "lb". */
	per: string;
	/** Unit of what is taken off, with the weight of a bushel. */
	rate: string;
	N?: number;
	P2O5?: number;
	K2O?: number;
	S?: number;
}

const NUTRIENTS = ['P2O5', 'K2O', 'S'] as const;
/** Differences below this ratio are not worth a sentence: judgement. */
const WORTH_SAYING = 1.25;

/** All crops of a guide's removal rules side by side, with the nitrogen content of their harvest. */
export function removalTable(packs: PackSet, crops: readonly Crop[], packId: string): CropRemoval[] {
	const rules = packs.rules.filter(({ pack, kind }) => pack.id === packId && kind.kind === 'removal');
	return crops.flatMap((crop): CropRemoval[] => {
		const taken = Object.fromEntries(
			NUTRIENTS.flatMap((nutrient) => {
				const pounds = perYield(rules, nutrient, crop.id);
				return pounds === undefined ? [] : [[nutrient, pounds]];
			})
		);
		if (Object.keys(taken).length === 0) return [];
		const nitrogen = crop.nitrogenContent?.lbPerYield;
		return [
			{
				crop: crop.id,
				name: crop.name,
				per: crop.yieldUnit.replace('/ac', ''),
				rate: `lb per ${perYieldOf(crop)}`,
				...(nitrogen === undefined ? {} : { N: nitrogen }),
				...taken
			}
		];
	});
}

function perYield(rules: readonly CompiledRule[], nutrient: string, crop: CropId): number | undefined {
	const rule = rules.find(({ rule: one }) => one.gives === nutrient);
	return sharedParameters<{ perYield: number }>(rule, crop).perYield;
}

/**
 * A sentence that sets a crop's removal beside corn's, or corn's beside soybean's.
 * @returns undefined where one of the two is not in the guides, or they are sold in different units
 */
export function removalSentence(
	packs: PackSet,
	crops: readonly Crop[],
	crop: CropId,
	units: UnitSystem
): string | undefined {
	const guide = packs.rules.find(({ kind, forCrop }) => kind.kind === 'removal' && forCrop(crop))?.pack.id;
	if (!guide) return undefined;
	const table = removalTable(packs, crops, guide);
	const own = table.find((one) => one.crop === crop);
	const other = table.find((one) => one.crop === (crop === 'corn-grain' ? 'soybean' : 'corn-grain'));
	if (!own || !other || own.per !== other.per) return undefined;
	const said = (['P2O5', 'K2O'] as const).flatMap((nutrient) => {
		const [mine, theirs] = [own[nutrient], other[nutrient]];
		if (mine === undefined || theirs === undefined) return [];
		const ratio = mine / theirs;
		const word = ratio > WORTH_SAYING ? 'more' : ratio < 1 / WORTH_SAYING ? 'less' : 'about as much';
		return [
			`${word} ${nutrient} ${word === 'about as much' ? 'as' : 'than'} ${other.name.toLowerCase()} (${quantityIn(units, mine, own.rate)} against ${quantityIn(units, theirs, other.rate)})`
		];
	});
	return said.length === 0
		? undefined
		: `Per ${units === 'us' ? own.per : 't'} ${own.name.toLowerCase()} takes off ${said.join(' and ')}.`;
}
