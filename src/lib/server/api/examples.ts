import adviseRequest from '../../../../demo/requests/corn-after-soybean.json';
import blendRequest from '../../../../demo/requests/corn-blend.json';
import calibrateRequest from '../../../../demo/requests/potassium-sites.json';
import trialRequest from '../../../../demo/requests/placement-trial.json';
import poolRequest from '../../../../demo/requests/rate-sites.json';
import fitRequest from '../../../../demo/requests/corn-fit.json';
import seasonRequest from '../../../../demo/requests/corn-season.json';
import leafRequest from '../../../../demo/requests/soybean-leaf.json';
import waterRequest from '../../../../demo/requests/well-water.json';
import guide from '../../../../demo/packs/central-plains-2003.json';
import type {
	AdviseRequest,
	BlendRequest,
	CalibrateRequest,
	DecisionPlan,
	HouseProgramme,
	CalibratedRuleAction,
	FitRequest,
	TrialRequest,
	GroundShape,
	LabDraft,
	LeafRequest,
	Pass,
	ResponseCurve,
	PoolRequest,
	SampleAction,
	SeasonRequest,
	TrialPlan,
	WaterRequest,
	WeatherFile
} from '../../../core/schema-types';
import { EXAMPLE_IDS } from './operation';

/** A JSON file has the types of its text; the tests check each of these by its schema. */
function exampleOf<T>(document: unknown): T {
	return document as T;
}

export const ADVISE_EXAMPLE = exampleOf<AdviseRequest>(adviseRequest);
export const SEASON_EXAMPLE = exampleOf<SeasonRequest>(seasonRequest);
export const BLEND_EXAMPLE = exampleOf<BlendRequest>(blendRequest);
export const FIT_EXAMPLE = exampleOf<FitRequest>(fitRequest);
export const CALIBRATE_EXAMPLE = exampleOf<CalibrateRequest>(calibrateRequest);
export const TRIAL_EXAMPLE = exampleOf<TrialRequest>(trialRequest);
export const POOL_EXAMPLE = exampleOf<PoolRequest>(poolRequest);
export const LEAF_EXAMPLE = exampleOf<LeafRequest>(leafRequest);
export const WATER_EXAMPLE = exampleOf<WaterRequest>(waterRequest);

/** Sites whose critical value becomes a rule. */
export const CALIBRATED_EXAMPLE: CalibratedRuleAction = {
	crop: 'corn-grain',
	nutrient: 'K2O',
	method: 'mehlich-3',
	samplingDepthIn: 6,
	model: 'linear-plateau',
	rateAtZero: 90,
	observations: CALIBRATE_EXAMPLE.observations
};

/** Two rates in two blocks, small enough for any field of the demo. */
export const TRIAL_PLAN_EXAMPLE: TrialPlan = {
	name: 'Two rates',
	question: 'Do the last 60 lb of nitrogen pay here?',
	design: 'blocks',
	factors: [{ name: 'N rate', unit: 'lb N/ac', levels: ['120', '180'] }],
	usual: '180',
	blocks: 2,
	passFt: 30,
	headerFt: 30,
	widthFt: 30,
	lengthFt: 200,
	headlandFt: 20,
	headingDegrees: 0,
	seed: 11
};

/** A pass of the demo's plans. */
export const PASS_EXAMPLE: Pass = {
	id: EXAMPLE_IDS.pass,
	date: '2027-04-20',
	label: 'Urea before planting',
	product: 'urea',
	rate: 120,
	unit: 'lb/ac',
	placement: 'broadcast',
	reason: ''
};

/** A dose that is held back until the rain of spring is known. */
export const DECISION_EXAMPLE: DecisionPlan = {
	name: 'Rain since the base dose',
	on: '2027-06-12',
	look: 'rain',
	since: '2027-04-20',
	is: 'above',
	amount: 6,
	pass: { ...PASS_EXAMPLE, id: 'added', date: '2027-06-15', label: 'Added after a wet spring' }
};

/** Corn by two guides, with a second choice each. */
export const PROGRAMME_EXAMPLE: HouseProgramme = {
	name: 'Corn by two guides',
	crops: ['corn-grain'],
	ground: { cecFrom: 12 },
	rates: [
		{ nutrient: 'N', methods: ['tri-state-1995/nitrogen'] },
		{ nutrient: 'P2O5', methods: ['tri-state-2020/phosphorus', 'crop-removal/phosphorus'] },
		{ nutrient: 'K2O', methods: ['tri-state-2020/potassium', 'crop-removal/potassium'] }
	],
	rounding: { lb: 5, gal: 0.5, shortTon: 0.25 },
	products: []
};

/** A piece of ground in the demo's first field. */
export const SQUARE: GroundShape = {
	type: 'Polygon',
	coordinates: [
		[
			[-35.0, 40.999],
			[-34.998, 40.999],
			[-34.998, 41.001],
			[-35.0, 41.001],
			[-35.0, 40.999]
		]
	]
};

export const SURFACE_SAMPLE: SampleAction = {
	lab: 'Fenmoor Soil Bench',
	labNumber: '9001',
	report: {
		date: '2026-11-02',
		layers: [
			{
				top: 0,
				bottom: 6,
				depthUnit: 'in',
				results: [
					{ analyte: 'pH', method: 'water', value: 6.1, unit: 'pH' },
					{ analyte: 'P', method: 'bray-p1', value: 18, unit: 'ppm' }
				]
			}
		]
	}
};

export const CURVE_EXAMPLE: ResponseCurve = {
	id: 'long-meadow-2026',
	title: 'Long Meadow 2026',
	crop: 'corn-grain',
	curve: { model: 'quadratic', coefficients: { a: 90, b: 0.8, c: -0.002 } },
	lowestRate: 0,
	highestRate: 240,
	basis: 'measured',
	source: 'strips of 2026'
};

export const GUIDE_EXAMPLE = JSON.stringify(guide, null, '\t');

export const WEATHER_EXAMPLE: WeatherFile = {
	name: 'Long Meadow',
	latitude: 41,
	units: 'us',
	csv: 'date,min,max,rain\n2026-05-01,44,66,0\n2026-05-02,46,70,0.31\n'
};

/** By this an import is read that has the columns of the demo's first lab file. */
export const DRAFT_EXAMPLE: LabDraft = {
	lab: 'Fenmoor Soil Bench',
	grower: '',
	mapping: {
		columns: [
			{ header: 'Field', role: 'field' },
			{ header: 'pH', role: 'result', analyte: 'pH', method: 'water', unit: 'pH' },
			{ header: 'Sampled', role: 'date' }
		],
		dateOrder: 'year-month-day',
		depth: { top: 0, bottom: 8, unit: 'in' }
	},
	corrections: {},
	leftOut: [],
	targets: {}
};
