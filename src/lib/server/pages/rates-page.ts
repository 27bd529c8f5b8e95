import { figure } from '../../../core/figure/figure';
import { limeApplications } from '../../../core/rates/lime/lime-applications';
import { effectiveFraction } from '../../../core/rates/lime/liming-material';
import { pricePerEffectiveTon } from '../../../core/rates/lime/liming';
import { SiteReading } from '../../../core/reading/site-reading';
import { inputReaders } from '../../../core/rates/input-readers';
import { outlookOf, rotationOf } from '../../../core/rates/outlook/six-year-outlook';
import { removalSentence } from '../../../core/rates/phosphorus-potassium/removal-compared';
import { tenureAdvice } from '../../../core/rates/phosphorus-potassium/tenure-advice';
import { readSoilPh } from '../../../core/reading/soil/ph-scale';
import { siteTargetPh } from '../../../core/reading/target-ph';
import { inSystem, type UnitSystem } from '../../../core/units/rate-units';
import { limeGap } from '../../../core/rates/lime/lime-gap';
import { REFERENCE_LIME } from '../field/field-request';
import type { Advice, FieldYear } from '../field/field-year';
import { followsOf } from '../field/follows';
import { leafFindings } from '../field/leaf-readings';
import { costOfRates, rateRow, type RateRow, type RowHead } from './rate-row';
import { goalPage } from './goal-page';
import { nitrogenPage } from './nitrogen-page';
import { secondCropView } from '../field/season/second-crop-view';
import { SCHOOL_ORDER, schoolName } from '../../school-names';
import type { Desk, FieldAddress } from '../desk';

const ROWS: RowHead[] = [
	{ nutrient: 'N', name: 'Nitrogen', unit: 'lb/ac', always: true },
	{ nutrient: 'P2O5', name: 'Phosphate', unit: 'lb/ac', always: true },
	{ nutrient: 'K2O', name: 'Potash', unit: 'lb/ac', always: true },
	{ nutrient: 'S', name: 'Sulfur', unit: 'lb/ac', always: true },
	{ nutrient: 'Mg', name: 'Magnesium', unit: 'lb/ac', always: false },
	{ nutrient: 'Ca', name: 'Calcium', unit: 'lb/ac', always: false },
	{ nutrient: 'lime', name: 'Lime', unit: 'short ton/ac', always: true },
	{ nutrient: 'B', name: 'Boron', unit: 'lb/ac', always: false },
	{ nutrient: 'Zn', name: 'Zinc', unit: 'lb/ac', always: false },
	{ nutrient: 'Mn', name: 'Manganese', unit: 'lb/ac', always: false },
	{ nutrient: 'Cu', name: 'Copper', unit: 'lb/ac', always: false }
];

const OUTLOOK_YEARS = 6;
/** The page of rates: each nutrient with every school's answer, and what opens under it. */
export function ratesPage(desk: Desk, address: FieldAddress) {
	const fieldYear = desk.fieldYear(address);
	const { advice } = fieldYear;
	const { units } = fieldYear.field;
	const library = desk.library;
	const rows = ROWS.map((row) => rateRow(row, advice, units, library));
	const guides = (advice?.answer.rates ?? []).filter(({ applies }) => applies).map(({ packTitle }) => packTitle);
	return {
		goalPage: goalPage(desk, fieldYear),
		rows,
		cost: costOfRates(rows),
		guides: [...new Set(guides)],
		notForCrop: silentGuides(rows),
		follows: advice && followsOf(desk.book, library, advice, units),
		removal: advice && removalSentence(library.packs, library.crops, advice.crop.id, units),
		leafTests: leafFindings(desk.book, library, fieldYear.field, fieldYear.year),
		tenure: tenureAdvice(fieldYear.field.tenure ?? undefined),
		outlooks: advice ? outlooks(desk, advice, units) : [],
		nextCrop: advice?.request.nextCrop,
		second: secondCropView(library, advice, units),
		lime: advice ? limeOf(desk, fieldYear, advice, units) : undefined,
		nitrogen: advice ? nitrogenPage(desk, fieldYear, advice, units) : undefined,
		hasPasses: (advice?.passes.length ?? 0) > 0,
		units
	};
}

/** The guides that have nothing on this crop, each with the nutrients it would speak of. */
function silentGuides(rows: readonly RateRow[]): string[] {
	const silent = new Map<string, Set<string>>();
	for (const { name, opinions } of rows)
		for (const { guide, notForCrop } of opinions)
			if (notForCrop) silent.set(guide, (silent.get(guide) ?? new Set()).add(name.toLowerCase()));
	return [...silent].map(([guide, names]) => `${guide} (${[...names].join(', ')})`);
}

export type RatesPage = ReturnType<typeof ratesPage>;

/** Where each approach takes the soil test of P and K in six years, this crop and the next one in turn. */
function outlooks({ library }: Desk, { site, request, answer }: Advice, units: UnitSystem) {
	const { packs } = library;
	const reading = new SiteReading(site, inputReaders);
	const rotation = rotationOf(request);
	return (['P2O5', 'K2O'] as const).map((nutrient) => ({
		nutrient,
		schools: packs.rules
			.filter(
				({ method, rule }) =>
					rule.gives === nutrient && answer.rates.some((rate) => rate.method === method && rate.applies)
			)
			.map((compiled) => outlookOf(compiled, nutrient, reading, rotation, OUTLOOK_YEARS, packs))
			.map((outlook) => ({
				...outlook,
				applied: outlook.applied && inSystem(outlook.applied, units),
				lbPerPpm: outlook.lbPerPpm && inSystem(outlook.lbPerPpm, units),
				name: `${schoolName(outlook.school)}, ${outlook.packTitle}`
			}))
	}));
}

/** All that stands around the lime row: what it is limed with and how, what it brings, how it is put on. */
function limeOf(
	{ library }: Desk,
	{ goal, prices }: FieldYear,
	{ site, answer, chosen, choices }: Advice,
	units: UnitSystem
) {
	const { products, packs } = library;
	const rate = chosen.find(({ nutrient }) => nutrient === 'lime')?.rate;
	const plan = rate && limeApplications(rate.value, site.limePlacement, site.units);
	const choice = choices.find(({ nutrient }) => nutrient === 'lime');
	const methods = answer.rates
		.filter(({ nutrient }) => nutrient === 'lime')
		.sort((a, b) => SCHOOL_ORDER.indexOf(a.school) - SCHOOL_ORDER.indexOf(b.school));
	const used = methods.find(({ method }) => method === choice?.method) ?? methods.find(({ applies }) => applies);
	const liming = (used ?? methods[0])?.liming;
	const scale = site.targetPhScale ?? site.crop.preferredPh?.scale ?? 'water';
	return {
		materials: products.flatMap(({ id, name, lime }) => {
			if (!lime) return [];
			const fraction = effectiveFraction(lime);
			return [{ id, name, fraction, price: pricePerEffectiveTon(fraction, prices.get(`product:${id}`)) }];
		}),
		material: goal?.liming_product ?? REFERENCE_LIME,
		gap: limeGap(answer.rates, packs),
		depthIn: goal?.lime_depth_in ?? null,
		placement: site.limePlacement,
		soilPh: readSoilPh(site.soil, scale),
		target: siteTargetPh(site, scale),
		liming: liming && { ...liming, payBack: inSystem(liming.payBack, units) },
		plan: plan && {
			why: plan.why,
			applications: plan.applications.map(({ season, rate: tons }) => ({
				season,
				rate: inSystem(
					figure({
						label: `lime in season ${season + 1}`,
						value: tons,
						unit: rate.unit,
						formula: `rate / ${plan.applications.length} seasons`,
						inputs: [rate],
						basis: 'practice'
					}),
					units
				)
			}))
		}
	};
}
