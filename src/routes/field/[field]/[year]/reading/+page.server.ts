import { notApplicable } from '$core/figure/figure';
import { rulesGiving } from '$core/packs/pack';
import { noNumbers } from '$core/packs/rule-kind';
import { applyRule } from '$core/reading/apply-rule';
import { mineralNitrogen } from '$core/reading/mineral-nitrogen';
import { readResult } from '$core/reading/read-result';
import { readResponseCurve } from '$core/reading/response-curve';
import { siteInputs } from '$core/reading/site-inputs';
import { inSystem } from '$core/units/rate-units';
import type { Advice } from '$lib/server/field-year';
import { goalPage } from '$lib/server/goal-page';
import { currentLibrary } from '$lib/server/current-library';
import { fieldYearOf } from '$lib/server/params';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
	const fieldYear = fieldYearOf(params);
	const { advice, sample, field } = fieldYear;
	const base = {
		goalPage: goalPage(fieldYear),
		fieldName: field.name,
		sampleDate: sample?.report.date,
		lab: sample?.lab
	};
	if (!advice) return { ...base, reading: undefined };
	return { ...base, reading: readingOf(advice) };
};

function readingOf({ site, answer, crop, chosen }: Advice) {
	const { packs } = currentLibrary();
	const { units } = readSettings(theBook());
	const { worksheets } = answer.derived;
	const lime = answer.rates
		.filter(({ nutrient }) => nutrient === 'lime')
		.map((rate) => ({ guide: rate.packTitle, answer: inSystem(rate.worksheet, units) }));
	return {
		cropName: crop.name,
		ph: { ...phReading(site, packs), band: crop.preferredPh, target: site.targetPh ?? crop.preferredPh?.target, lime },
		holding: {
			cec: worksheets.cec!,
			limit: inSystem(worksheets.holdingLimit!, units),
			room: inSystem(worksheets.holdingRoom!, units),
			inGround: inSystem(mineralNitrogen(site.layers), units)
		},
		nutrients: (['P', 'K'] as const).map((analyte) => ({
			...readResponseCurve(site, packs, analyte),
			test: readResult(site.layers, analyte),
			chosen: chosen.find(({ nutrient }) => nutrient.startsWith(analyte))?.rate
		})),
		cations: (['Ca', 'Mg', 'K', 'Na'] as const).flatMap((cation) => {
			const share = worksheets[`${cation}Share`];
			return share ? [{ cation, share }] : [];
		}),
		findings: answer.findings
	};
}

function phReading(site: Advice['site'], packs: ReturnType<typeof currentLibrary>['packs']) {
	const rule = rulesGiving(packs, 'relative-yield')[0];
	const parameters = rule?.parametersFor(site.crop.id);
	const relativeYield = rule
		? applyRule(rule, site, siteInputs)
		: notApplicable('relative yield', 'no pack gives yield by pH', 'Add a pack with one.');
	const numbers = noNumbers();
	const points: [number, number][] = [];
	for (let tenth = 45; rule && parameters !== undefined && tenth <= 80; tenth++) {
		numbers.soilPh = tenth / 10;
		points.push([tenth / 10, rule.kind.compute(parameters, numbers)]);
	}
	return {
		soilPh: readResult(site.layers, 'pH', ['water']),
		calciumChloride: readResult(site.layers, 'pH', ['cacl2']),
		relativeYield,
		points
	};
}
