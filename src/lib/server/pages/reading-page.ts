import { notApplicable, valueIfKnown, type Answer } from '../../../core/figure/figure';
import { SALTY_EC } from '../../../core/reading/high-ph/limits';
import { gypsumForSodium, highPhWays } from '../../../core/reading/high-ph/ways';
import { cecParts } from '../../../core/reading/soil/cec-parts';
import { readClay } from '../../../core/reading/soil/clay-and-density';
import { FREE_LIME_PH } from '../../../core/reading/soil/free-lime';
import { readOrganicMatter } from '../../../core/reading/soil/organic-matter';
import { pricesOn } from '../stores/prices';
import { rulesGiving } from '../../../core/packs/pack';
import { analyteName } from '../../../core/ground/analyte-names';
import { ACID_BELOW, readProfile } from '../../../core/reading/soil/acid-layers';
import { allResults } from '../../../core/reading/soil/all-results';
import { applyRule } from '../../../core/reading/apply-rule';
import { mineralNitrogen } from '../../../core/reading/soil/mineral-nitrogen';
import { PH_SCALE_NAME } from '../../../core/reading/soil/ph-scale';
import { readResult } from '../../../core/reading/soil/read-result';
import { readResponseCurve } from '../../../core/reading/response-curve';
import { evaluate } from '../../../core/reading/evaluate';
import { SiteReading } from '../../../core/reading/site-reading';
import { siteInputs } from '../../../core/reading/site-inputs';
import { readTrends } from '../../../core/reading/soil/trends';
import type { Sample } from '../../../core/schema-types';
import { inSystem, type UnitSystem } from '../../../core/units/rate-units';
import type { Advice } from '../field/field-year';
import { goalPage } from './goal-page';
import { leafLog } from './leaf-log';
import { schoolName } from '../../school-names';
import type { Desk, FieldAddress } from '../desk';
import type { Library } from '../knowledge';

/** The page of the reading: what the soil report says, with the guides' words on it. */
export function readingPage(desk: Desk, address: FieldAddress) {
	const fieldYear = desk.fieldYear(address);
	const { advice, sample, field } = fieldYear;
	const base = {
		goalPage: goalPage(desk, fieldYear),
		fieldName: field.name,
		leafLog: leafLog(desk, fieldYear),
		sampleDate: sample?.report.date,
		lab: sample?.lab
	};
	if (!advice) return { ...base, reading: undefined };
	return {
		...base,
		reading: readingOf(
			desk,
			advice,
			fieldYear.field.units,
			fieldYear.samples.map(({ report }) => report)
		)
	};
}

export type ReadingPage = ReturnType<typeof readingPage>;

function readingOf(desk: Desk, { site, answer, crop, chosen }: Advice, units: UnitSystem, samples: readonly Sample[]) {
	const { packs } = desk.library;
	const { worksheets } = answer.derived;
	const lime = answer.rates
		.filter(({ nutrient }) => nutrient === 'lime')
		.map((rate) => ({
			guide: rate.packTitle,
			school: schoolName(rate.school),
			answer: inSystem(rate.worksheet, units)
		}));
	const profile = readProfile(site.soil);
	return {
		cropName: crop.name,
		ph: { ...phReading(site, packs), band: crop.preferredPh, target: site.targetPh ?? crop.preferredPh?.target, lime },
		holding: {
			cec: worksheets.cec!,
			limit: inSystem(worksheets.holdingLimit!, units),
			room: inSystem(worksheets.holdingRoom!, units),
			inGround: inSystem(mineralNitrogen(site.soil), units)
		},
		nutrients: (['P', 'K'] as const).map((analyte) => ({
			...readResponseCurve(site, packs, analyte),
			test: readResult(site.soil, analyte),
			chosen: chosen.find(({ nutrient }) => nutrient.startsWith(analyte))?.rate
		})),
		profile: { ...profile, lines: ACID_BELOW[profile.scale], scaleName: PH_SCALE_NAME[profile.scale] },
		inCm: site.soil.layers.every(({ depthText }) => depthText.endsWith('cm')),
		cecParts: cecPartsOf(site, worksheets.cec!, units),
		highPh: highPhOf(desk, site, worksheets.cec!, units),
		cations: (['Ca', 'Mg', 'K', 'Na'] as const).flatMap((cation) => {
			const share = worksheets[`${cation}Share`];
			return share ? [{ cation, name: analyteName(cation), share, ppm: readResult(site.soil, cation) }] : [];
		}),
		others: otherNutrients(site, answer),
		results: allResults(site.soil),
		trends: readTrends(samples, units),
		findings: answer.findings
	};
}

function cecPartsOf(site: Advice['site'], cec: Answer, units: UnitSystem) {
	const parts = cecParts(cec, readOrganicMatter(site.soil), readClay(site));
	return { ...parts, holdsMore: inSystem(parts.holdsMore, units), tonsForClaim: inSystem(parts.tonsForClaim, units) };
}

/** Ways with ground that is high in pH, salt or sodium; undefined where it is none of them. */
function highPhOf({ book, today }: Desk, { soil }: Advice['site'], cec: Answer, units: UnitSystem) {
	const soilPh = valueIfKnown(readResult(soil, 'pH', ['water'])) ?? 0;
	const salinity = valueIfKnown(readResult(soil, 'EC')) ?? 0;
	const sodium = gypsumForSodium(soil, cec);
	if (soilPh <= FREE_LIME_PH && salinity <= SALTY_EC && !sodium.applies) return undefined;
	const prices = pricesOn(book, today);
	return highPhWays(soil, cec, (product) => prices.get(`product:${product}`)).map((way) => ({
		...way,
		amount: inSystem(way.amount, units),
		cost: inSystem(way.cost, units)
	}));
}

/** Sulfur and the micronutrients that were measured, with what the guides make of them. */
function otherNutrients({ soil }: Advice['site'], { rates }: Advice['answer']) {
	const analytes = [
		['SO4-S', 'S'],
		['B', 'B'],
		['Zn', 'Zn'],
		['Mn', 'Mn'],
		['Cu', 'Cu']
	] as const;
	return analytes.flatMap(([analyte, nutrient]) => {
		const test = readResult(soil, analyte);
		if (!test.applies) return [];
		const says = rates.find((rate) => rate.nutrient === nutrient && rate.school === 'class-table' && rate.applies);
		return [{ name: analyteName(analyte), test, says: says?.worksheet.applies ? says.worksheet.formula : undefined }];
	});
}

function phReading(site: Advice['site'], packs: Library['packs']) {
	const rule = rulesGiving(packs, 'relative-yield')[0];
	const reading = new SiteReading(site, siteInputs);
	const relativeYield = rule
		? applyRule(rule, reading)
		: notApplicable('relative yield', 'no pack gives yield by pH', 'Add a pack with one.');
	const points: [number, number][] = [];
	for (let tenth = 45; rule?.forCrop(site.crop.id) && tenth <= 80; tenth++) {
		const soilPh = tenth / 10;
		points.push([soilPh, evaluate(rule, reading, { soilPh })]);
	}
	return {
		soilPh: readResult(site.soil, 'pH', ['water']),
		calciumChloride: readResult(site.soil, 'pH', ['cacl2']),
		relativeYield,
		points
	};
}
