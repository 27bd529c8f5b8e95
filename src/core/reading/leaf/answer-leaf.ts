import { InputError } from '../../check/problem';
import type {
	Crop,
	LeafAnswer,
	LeafElement,
	LeafFinding,
	LeafRanges,
	LeafRequest,
	LeafResults,
	RateNutrient
} from '../../schema-types';
import type { PackSet } from '../../packs/pack';
import { fitsRanges, goesByAge, rangesOfAge } from './leaf-range';
import { leafUnit } from '../../units/leaf-units';
import { soilAgreement, soilOfSpots } from './soil-of-spots';
import { areAlike, leafVerdicts, leavesFor, offText, spotDifferences, type LeafVerdict } from './read-leaf';

/** Kinds of rules that read a leaf test. */
const BY_LEAF: ReadonlySet<string> = new Set(['leaf-guided', 'leaf-classes']);
/** What a rate of the element is called. */
const GIVEN_AS: Partial<Record<LeafElement, RateNutrient>> = { P: 'P2O5', K: 'K2O' };

/**
 * A leaf test against the ranges of its crop. A sample of another part or stage is not read, and the answer says which would be.
 * @param request checked by schemas/leaf-request.schema.json
 * @throws InputError for a crop that is not known
 */
export function answerLeaf(
	request: LeafRequest,
	{ crops, leafRanges, packs }: { crops: readonly Crop[]; leafRanges: readonly LeafRanges[]; packs: PackSet }
): LeafAnswer {
	const crop = crops.find(({ id }) => id === request.crop);
	if (!crop) {
		const message = `"${request.crop}" is no crop; known: ${crops.map(({ id }) => id).join(', ')}`;
		throw new InputError([{ path: '/crop', message }]);
	}
	const ranges = rangesFor(request, leafRanges);
	if (typeof ranges === 'string') return { readable: false, reason: ranges, ranges: null, findings: [] };
	if (!fitsRanges(ranges, request)) {
		return { readable: false, reason: wantedInstead(crop, request, ranges), ranges, findings: [] };
	}
	const { results, goodSpot, soil } = request;
	const verdicts = leafVerdicts(results, ranges);
	const pair = goodSpot && spotDifferences(results, goodSpot, ranges);
	const [most] = pair ?? [];
	const soils = soil && soilOfSpots(soil.bad, soil.good);
	const agreement = most && soils && soilAgreement(most, soils);
	const differs: LeafFinding[] =
		most && !areAlike(most)
			? [
					{
						code: 'spots-differ',
						element: most.element,
						severity: 'note',
						text: `${most.element} differs most between the spots, relative to its range: ${most.bad} ${leafUnit(most.element)} in the bad one, ${most.good} ${leafUnit(most.element)} in the good one.`,
						remedy: soils
							? 'Look at roots, depth and water there too.'
							: 'Take a soil sample from both spots and lay them beside it; look at roots, depth and water there too.'
					},
					...(agreement ? [agreement] : [])
				]
			: [];
	return {
		readable: true,
		ranges,
		findings: [
			...differs,
			...verdicts.flatMap((verdict) => findingOf(verdict, crop, ranges, packs)),
			...nitrogenToSulfur(results, ranges, verdicts)
		],
		...(pair ? { pair } : {}),
		...(soils ? { soil: soils } : {})
	};
}

function rangesFor({ crop, age, part, stage }: LeafRequest, all: readonly LeafRanges[]): LeafRanges | string {
	const found = rangesOfAge(crop, age, all, { part, stage });
	if (found) return found;
	const own = all.filter((one) => one.crop === crop);
	if (own.length === 0) return `no ranges of ${crop} are known`;
	if (own.some(goesByAge) && age === undefined)
		return 'the ranges of this crop go by its age: give the year of its life as age';
	return `no ranges of ${crop} in its year ${age} are known`;
}

/** Why a sample is not read. */
function wantedInstead({ name }: Crop, { part, stage }: LeafRequest, ranges: LeafRanges): string {
	return `The sample is of “${part}” at “${stage}”; the ranges of ${name.toLowerCase()} are for ${leavesFor(ranges)}. It is not read against them.`;
}

function findingOf(verdict: LeafVerdict, crop: Crop, ranges: LeafRanges, packs: PackSet): LeafFinding[] {
	const { element, off } = verdict;
	if (off === undefined) return [];
	return [
		{
			code: `leaf-${off}`,
			element,
			severity: off === 'low' ? 'mind' : 'note',
			text: `${element} is ${offText(verdict, ranges)}.`,
			remedy: off === 'low' ? whatItDoes(element, crop, ranges, packs) : 'Nothing is lacking there.'
		}
	];
}

/** A leaf test says what is in the plant now: it moves a rate only where a method goes by it. */
function whatItDoes(
	element: LeafVerdict['element'],
	crop: Crop,
	{ rescue = [] }: LeafRanges,
	{ rules }: PackSet
): string {
	if (crop.perennial) {
		const nutrient = GIVEN_AS[element] ?? element;
		const byLeaf = rules.some(
			({ kind, rule, parametersFor }) =>
				BY_LEAF.has(kind.kind) && rule.gives === nutrient && parametersFor(crop.id) !== undefined
		);
		return byLeaf
			? 'It moves the leaf-guided rate of next year, and of this year where doses are still to come.'
			: `No guide here gives ${element} for ${crop.name.toLowerCase()} by the leaf: the rates stay as they are. Write your own rate with this test as the reason.`;
	}
	if (rescue.includes(element)) {
		return `${element} can still be put right this season where the stage allows; a soil test there says what next year needs.`;
	}
	return `No rescue of ${element} is known to pay this season: take a soil sample there, which sets the rate of the next crop.`;
}

function nitrogenToSulfur(
	{ N, S }: LeafResults,
	{ mostNToS }: LeafRanges,
	verdicts: readonly LeafVerdict[]
): LeafFinding[] {
	// Of leaves short of nitrogen too the ratio says nothing.
	if (verdicts.some(({ element, off }) => element === 'N' && off === 'low')) return [];
	if (N === undefined || S === undefined || mostNToS === undefined || N / S <= mostNToS) return [];
	return [
		{
			code: 'leaf-n-to-s',
			element: 'S',
			severity: 'mind',
			text: `Nitrogen is ${(N / S).toFixed(1)} times sulfur, above ${mostNToS}: sulfur is short though nitrogen is not.`,
			remedy: 'Sulfate can still be given this season where the stage allows.'
		}
	];
}
