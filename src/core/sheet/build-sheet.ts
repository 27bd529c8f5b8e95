import { yieldUnitOf } from '../units/rate-units';
import { partText } from '../season/applied/part-text';
import { passOfPart, wholePass } from '../season/applied/what-happened';
import { overTheField } from '../season/plan/pass/pass-nutrients';
import { figure, notApplicable, type Figure, type Answer } from '../figure/figure';
import type { Chosen } from '../rates/choose';
import { cautionsFor, planCautions } from '../season/plan/hazards';
import { planCost } from '../season/plan/pass/pass-cost';
import { gallonsPerAcre, passNutrients, passPounds, passRate, wholeField } from '../season/plan/pass/pass-figures';
import { hasTrait } from '../season/plan/crop-traits';
import { machineSettingIn } from '../units/machine-setting';
import { passBases } from '../season/plan/pass/pass-bases';
import { palmDose, palmDoseText } from '../supply/palm-dose';
import { productOf } from '../season/plan/plan-context';
import { byTrip } from '../season/plan/trips';
import { prescriptionTotal } from '../zones/prescription/prescription-totals';
import { tripLoading } from '../supply/trip-loading';
import { stageText, type StageDate } from '../season/stages/stage-dates';
import { seasonTotals } from '../season/plan/season-totals';
import type {
	AdviseRequest,
	CautionList,
	Crop,
	Finding,
	LoadSizes,
	PackDocument,
	Pass,
	PassCheck,
	Prescription,
	Product,
	SheetContent,
	SheetLeafTest
} from '../schema-types';

/** All that a sheet says, before it is frozen. */
export interface SheetSource {
	preparedBy: string;
	issuedOn: string;
	grower: string;
	field: { name: string; areaAcres?: number };
	year: number;
	crop: Crop;
	plantingDate: string;
	previousCrop: string | undefined;
	/** What is planted after the harvest in the same year. */
	second?: { crop: Crop; yieldGoal: number; nitrogen: Chosen | undefined } | undefined;
	/** Year of the life of a perennial's block. */
	age?: number | undefined;
	soilSource: string;
	soilValues: Figure[];
	chosen: readonly Chosen[];
	passes: readonly Pass[];
	/** When the crop usually reaches its stages; empty where that is not known. */
	stages: readonly StageDate[];
	passCosts: ReadonlyMap<string, Answer>;
	findings: Finding[];
	leafTests: readonly SheetLeafTest[];
	/** What is decided later, a sentence each. */
	decisions: readonly string[];
	/** The station whose weather dates and checks use. */
	station: { name: string; simulated: boolean };
	checks: PassCheck[];
	packs: readonly PackDocument[];
	request: AdviseRequest;
	products: readonly Product[];
	cautionList: CautionList;
	loads: LoadSizes;
	/** The newest prescription of a pass, by the pass. */
	prescriptions: ReadonlyMap<string, Prescription>;
}

/** The content of a sheet, complete in itself: printing it again needs neither the book nor the packs. */
export function buildSheet(source: SheetSource): SheetContent {
	const { passes, products, cautionList, crop, chosen, request, second } = source;
	return {
		format: 1,
		preparedBy: source.preparedBy,
		issuedOn: source.issuedOn,
		units: request.units,
		grower: source.grower,
		field: source.field,
		year: source.year,
		crop: {
			name: crop.name,
			yieldGoal: request.crop.yieldGoal,
			yieldUnit: yieldUnitOf(crop),
			plantingDate: source.plantingDate,
			...(crop.perennial ? { perennial: true } : {}),
			...(source.age === undefined ? {} : { age: source.age }),
			...(source.previousCrop ? { previousCrop: source.previousCrop } : {}),
			...(second
				? { second: { name: second.crop.name, yieldGoal: second.yieldGoal, yieldUnit: yieldUnitOf(second.crop) } }
				: {})
		},
		soil: { source: source.soilSource, values: source.soilValues },
		rates: [
			...chosen.map(rateOf),
			...(second?.nitrogen ? [{ ...rateOf(second.nitrogen), secondCrop: second.crop.name }] : [])
		],
		passes: passes.map((pass) => sheetPass(pass, source)),
		loading: loadingOf(source),
		totals: seasonTotals(passes, { products }),
		cost: planCost(passes.map((pass) => costOverTheField(pass, source.passCosts))),
		findings: source.findings,
		...(source.station.simulated ? { weather: inventedWeather(source.station.name) } : {}),
		...(source.decisions.length > 0 ? { decisions: [...source.decisions] } : {}),
		...(source.leafTests.length > 0 ? { leafTests: [...source.leafTests] } : {}),
		checks: source.checks,
		cautions: planCautions(passes, products, cautionList),
		packs: source.packs.map(({ id, version, title }) => ({ id, version, title })),
		request
	};
}

const inventedWeather = (station: string) =>
	`Growth stages and weather checks use the invented weather of ${station}. Check each date against your own field.`;

const rateOf = ({ nutrient, rate, by, why }: Chosen) => ({ nutrient, rate, by, why });

/** Dollars of a pass for each acre of the field, from those for each acre that it goes on. */
function costOverTheField(pass: Pass, costs: SheetSource['passCosts']): Answer {
	const cost = costs.get(pass.id)!;
	return cost.applies ? overTheField(pass, cost) : cost;
}

function loadingOf(source: SheetSource): SheetContent['loading'] {
	const { passes, products, field, loads } = source;
	return [...byTrip(passes, (pass) => pass)].map(([key, trip]) => ({
		trip: key,
		loads: tripLoading(
			trip.map((pass) => ({ pass: asSet(pass, source), product: productOf(pass, products) })),
			field.areaAcres,
			loads
		)
	}));
}

/** A pass at the rate that is printed and set on the machine, so that rate x acres is the total beside it; palms get whole cups. */
function asSet(pass: Pass, { crop, request }: SheetSource): Pass {
	if (hasTrait(crop, 'palm')) return pass;
	return { ...pass, rate: machineSettingIn(pass.rate, pass.unit, request.units ?? 'us') };
}

function sheetPass(pass: Pass, source: SheetSource): SheetContent['passes'][number] {
	const { products, cautionList, field, passCosts, prescriptions, stages, request, crop } = source;
	const product = productOf(pass, products);
	const rate = passRate(pass, product);
	const { rate: value } = asSet(pass, source);
	const rateSet =
		value === pass.rate ? rate : figure({ ...rate, value, formula: 'rounded as the machine is set', inputs: [rate] });
	const prescribed = prescriptions.get(passOfPart(pass.id));
	const stage = stageText(stages, pass.date);
	const bases = passBases(wholePass(pass), product, request.crop.block, field.areaAcres);
	const palms = hasTrait(crop, 'palm')
		? palmDose(passPounds(pass, product), request.crop.block, field.areaAcres)
		: undefined;
	const part = partText(pass, field.areaAcres, request.units ?? 'us');
	return {
		pass: { ...pass, label: [pass.label, part].filter(Boolean).join(', ') },
		productName: product.name,
		...(stage === undefined ? {} : { stage }),
		...(bases.length === 0 ? {} : { bases }),
		...(palms && pass.unit === 'lb/ac' ? { palmDose: { text: palmDoseText(palms), product: palms.product } } : {}),
		rate,
		carries: passNutrients(wholePass(pass), product),
		wholeField: prescribed
			? overTheField(pass, prescriptionTotal(prescribed))
			: wholeField(overTheField(pass, rateSet), field.areaAcres),
		gallons:
			pass.unit === 'gal/ac'
				? notApplicable(`${product.name} by volume`, 'the rate is in gallons already', '')
				: gallonsPerAcre(passPounds(wholePass(pass), product), product),
		cost: passCosts.get(pass.id)!,
		cautions: cautionsFor(product, pass, cautionList),
		...(prescribed ? { prescription: prescriptionOf(prescribed) } : {})
	};
}

function prescriptionOf(prescription: Prescription): SheetContent['passes'][number]['prescription'] {
	const parts = prescription.parts.map(({ zone, rate, areaAcres }) => ({ zone, rate, areaAcres }));
	return { name: prescription.name, total: prescriptionTotal(prescription), parts };
}
