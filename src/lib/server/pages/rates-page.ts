import { figure } from '../../../core/figure/figure';
import { limeApplications } from '../../../core/rates/lime/lime-applications';
import { effectiveFraction } from '../../../core/rates/lime/liming-material';
import { pricePerEffectiveTon } from '../../../core/rates/lime/liming';
import { SiteReading } from '../../../core/reading/site-reading';
import { inputReaders } from '../../../core/rates/input-readers';
import { outlookOf } from '../../../core/rates/outlook/six-year-outlook';
import { removalSentence } from '../../../core/rates/phosphorus-potassium/removal-compared';
import { tenureAdvice } from '../../../core/rates/phosphorus-potassium/tenure-advice';
import { readSoilPh } from '../../../core/reading/soil/ph-scale';
import { siteTargetPh } from '../../../core/reading/target-ph';
import type { Objective } from '../../../core/schema-types';
import { formatNumber } from '../../../core/units/display';
import { inSystem, unitInSystem, type UnitSystem } from '../../../core/units/rate-units';
import { limeGap } from '../../../core/rates/lime/lime-gap';
import { REFERENCE_LIME } from '../field/field-request';
import type { Advice, FieldYear } from '../field/field-year';
import { goalPage } from './goal-page';
import { nitrogenPage } from './nitrogen-page';
import { SCHOOL_ORDER, schoolName } from '../../school-names';
import type { Desk, FieldAddress } from '../desk';

const ROWS = [
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
] as const;

const OUTLOOK_YEARS = 6;
const OBJECTIVE_NAMES: Record<Objective, string> = {
	'most-yield': 'most yield',
	'most-profit': 'most profit',
	'least-left': 'least left behind'
};

/** The page of rates: each nutrient with every school's answer, and what opens under it. */
export function ratesPage(desk: Desk, address: FieldAddress) {
	const fieldYear = desk.fieldYear(address);
	const { advice } = fieldYear;
	const { units } = desk.settings;
	const library = desk.library;
	const rows = ROWS.map((row) => rowOf(row, advice, units, library));
	const guides = (advice?.answer.rates ?? []).filter(({ applies }) => applies).map(({ packTitle }) => packTitle);
	return {
		goalPage: goalPage(desk, fieldYear),
		rows,
		guides: [...new Set(guides)],
		removal: advice && removalSentence(library.packs, library.crops, advice.crop.id),
		tenure: tenureAdvice(fieldYear.field.tenure ?? undefined),
		outlooks: advice ? outlooks(desk, advice, units) : [],
		nextCrop: advice?.request.nextCrop,
		lime: advice ? limeOf(desk, fieldYear, advice, units) : undefined,
		nitrogen: advice ? nitrogenPage(desk, fieldYear, advice, units) : undefined,
		hasPasses: (advice?.passes.length ?? 0) > 0,
		units
	};
}

export type RatesPage = ReturnType<typeof ratesPage>;

function rowOf(
	{ nutrient, name, unit, always }: (typeof ROWS)[number],
	advice: Advice | undefined,
	units: UnitSystem,
	library: Desk['library']
) {
	const choice = advice?.choices.find((one) => one.nutrient === nutrient);
	const chosen = advice?.chosen.find((one) => one.nutrient === nutrient);
	const opinions = (advice?.answer.rates ?? [])
		.filter((rate) => rate.nutrient === nutrient)
		.sort((a, b) => SCHOOL_ORDER.indexOf(a.school) - SCHOOL_ORDER.indexOf(b.school))
		.map((rate) => ({
			method: rate.method,
			schoolId: rate.school,
			school: schoolName(rate.school),
			title: rate.worksheet.label,
			guide: rate.packTitle,
			answer: inSystem(rate.worksheet, units),
			cost: inSystem(rate.cost, units),
			approximate: rate.approximate,
			simulated: rate.simulated === true,
			of: nutrient === 'lime' && advice && rate.applies ? limeText(rate.method, advice, library) : undefined,
			stands: rate.stands,
			total: rate.seasonTotal && inSystem(rate.seasonTotal, units),
			zones: (rate.zones ?? []).map((zone) => ({ ...zone, rate: inSystem(zone.rate, units) })),
			curve: rate.objectives && rate.title,
			objective: rate.objectives ? OBJECTIVE_NAMES[advice?.request.nitrogen?.objective ?? 'most-profit'] : undefined,
			bothYears: rate.bothYears && inSystem(rate.bothYears, units),
			none: rate.applies && rate.rate === 0 ? rate.reason : undefined
		}));
	const rules = opinions.map(({ guide, schoolId }) => `${guide} ${schoolId}`);
	return {
		nutrient,
		name,
		always,
		/** Rules that share a guide and a school with another one; their titles tell them apart. */
		repeats: new Set(
			opinions
				.filter((_, index) => rules.indexOf(rules[index]!) !== rules.lastIndexOf(rules[index]!))
				.map(({ title }) => title)
		),
		unit: unitInSystem(unit, units),
		ownUnit: unit,
		choice,
		lapsed: advice?.lapsed.some((one) => one.nutrient === nutrient) ?? false,
		own: choice?.ownRate !== undefined && chosen ? inSystem(chosen.rate, units) : undefined,
		chosen: chosen && inSystem(chosen.rate, units),
		opinions
	};
}

/** Which lime a rate is of: guides differ in their reference. */
function limeText(method: string, { site }: Advice, { packs }: Desk['library']): string | undefined {
	const compiled = packs.rules.find((rule) => rule.method === method);
	const fraction = compiled && new SiteReading(site, inputReaders).input('effectiveFraction', compiled);
	if (!fraction?.applies) return undefined;
	return fraction.value === 1 ? 'of pure CaCO3' : `of lime that acts to ${formatNumber(fraction.value * 100, '%')} %`;
}

/** Where each school takes the soil test of P and K in six years, this crop and the next one in turn. */
function outlooks({ library }: Desk, { site, request, answer }: Advice, units: UnitSystem) {
	const { packs } = library;
	const { crop, nextCrop } = request;
	const reading = new SiteReading(site, inputReaders);
	const rotation = [{ id: crop.id, yieldGoal: crop.yieldGoal }, ...(nextCrop ? [nextCrop] : [])];
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
	const plan = rate && limeApplications(rate.value, site.limePlacement);
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
