import adviseAnswer from '../../../schemas/advise-answer.schema.json';
import adviseRequest from '../../../schemas/advise-request.schema.json';
import calibrateAnswer from '../../../schemas/calibrate-answer.schema.json';
import calibrateRequest from '../../../schemas/calibrate-request.schema.json';
import trialPresets from '../../../schemas/trial-presets.schema.json';
import trial from '../../../schemas/trial.schema.json';
import trialAnswer from '../../../schemas/trial-answer.schema.json';
import trialRequest from '../../../schemas/trial-request.schema.json';
import actions from '../../../schemas/actions.schema.json';
import application from '../../../schemas/application.schema.json';
import answers from '../../../schemas/answers.schema.json';
import block from '../../../schemas/block.schema.json';
import book from '../../../schemas/book.schema.json';
import coverCrops from '../../../schemas/cover-crops.schema.json';
import crops from '../../../schemas/crops.schema.json';
import figure from '../../../schemas/figure.schema.json';
import pack from '../../../schemas/pack.schema.json';
import products from '../../../schemas/products.schema.json';
import cautions from '../../../schemas/cautions.schema.json';
import plan from '../../../schemas/plan.schema.json';
import labDraft from '../../../schemas/lab-draft.schema.json';
import labMapping from '../../../schemas/lab-mapping.schema.json';
import fertigation from '../../../schemas/fertigation.schema.json';
import fitAnswer from '../../../schemas/fit-answer.schema.json';
import fitRequest from '../../../schemas/fit-request.schema.json';
import response from '../../../schemas/response.schema.json';
import sheet from '../../../schemas/sheet.schema.json';
import sample from '../../../schemas/sample.schema.json';
import seasonAnswer from '../../../schemas/season-answer.schema.json';
import seasonRequest from '../../../schemas/season-request.schema.json';
import blendAnswer from '../../../schemas/blend-answer.schema.json';
import blendRequest from '../../../schemas/blend-request.schema.json';
import additives from '../../../schemas/additives.schema.json';
import ground from '../../../schemas/ground.schema.json';
import palmEstate from '../../../schemas/palm-estate.schema.json';
import plausibility from '../../../schemas/plausibility.schema.json';
import leafAnswer from '../../../schemas/leaf-answer.schema.json';
import leafRequest from '../../../schemas/leaf-request.schema.json';
import leafRanges from '../../../schemas/leaf-ranges.schema.json';
import manures from '../../../schemas/manures.schema.json';
import seasonRules from '../../../schemas/season-rules.schema.json';
import seasonLimits from '../../../schemas/season-limits.schema.json';
import houseProgramme from '../../../schemas/house-programme.schema.json';
import sampling from '../../../schemas/sampling.schema.json';
import work from '../../../schemas/work.schema.json';
import houseRules from '../../../schemas/house-rules.schema.json';
import stages from '../../../schemas/stages.schema.json';
import seasonModel from '../../../schemas/season-model.schema.json';
import waterAnswer from '../../../schemas/water-answer.schema.json';
import waterLimits from '../../../schemas/water-limits.schema.json';
import waterRequest from '../../../schemas/water-request.schema.json';
import weather from '../../../schemas/weather.schema.json';
import schedules from '../../../schemas/schedules.schema.json';

/** Every JSON Schema of the project; an id is `<name>.schema.json`. */
export const SCHEMAS: readonly { $id: string }[] = [
	application,
	block,
	figure,
	sample,
	coverCrops,
	crops,
	products,
	schedules,
	seasonModel,
	blendRequest,
	blendAnswer,
	leafRanges,
	leafRequest,
	leafAnswer,
	manures,
	palmEstate,
	plausibility,
	ground,
	additives,
	seasonLimits,
	seasonRules,
	stages,
	houseRules,
	houseProgramme,
	sampling,
	work,
	weather,
	waterLimits,
	waterRequest,
	waterAnswer,
	cautions,
	response,
	fitRequest,
	trial,
	trialPresets,
	trialRequest,
	trialAnswer,
	calibrateRequest,
	calibrateAnswer,
	fertigation,
	fitAnswer,
	adviseAnswer,
	adviseRequest,
	pack,
	plan,
	seasonRequest,
	seasonAnswer,
	labMapping,
	labDraft,
	sheet,
	book,
	actions,
	answers
];
