import { InputError } from '../../../../core/check/problem';
import { cropOf } from '../../../../core/rates/advise';
import { checkGoal } from '../../../../core/rates/check-goal';
import type { Choice } from '../../../../core/rates/choose';
import { checkSecondCrop } from '../../../../core/rates/second-crop/check-second-crop';
import { catchCropModel } from '../../../../core/season/model/growth/catch-crop';
import { plantingFault } from '../../../../core/season/plan/season-span';
import type {
	BlockYearAction,
	CatchCropAction,
	ChooseAction,
	CropTestAction,
	LossAction,
	GoalAction,
	IrrigationAction,
	HarvestAction,
	LimingAction,
	NextCropAction,
	NitrogenTerms,
	NotesAnswer,
	RateNutrient,
	SecondCropAction,
	SpreadCheck
} from '../../../../core/schema-types';
import { ActionError } from '../../book/action-error';
import { plantingDateOf } from '../../field/field-request';
import { afterLoss } from '../../field/season/after-loss';
import { weatherFor } from '../../field/weather-for';
import { movedAlong } from '../../field/season/moved-along';
import { afterTest } from '../../field/season/after-test';
import { choiceLabel } from '../../field/choice-label';
import { nitrogenAtGoal, settledChoices, settledSecondCrop } from '../../field/settle';
import { yearOf } from '../../field/year-of';
import { bookCropTest, listCropTests, removeCropTest, type CropTest } from '../../stores/tests/crop-tests';
import {
	blockYearOf,
	bookHarvest,
	changeSeason,
	choose,
	cutCrop,
	goalColumns,
	listPasses,
	setBlockYear,
	setGoal,
	setLiming,
	setNitrogenTerms,
	unchoose
} from '../../stores/field-years';
import { setCatchCrop, setNextCrop, setSecondCrop } from '../../stores/plan/after-the-harvest';
import { bookedIrrigation, listWaterSources, setIrrigation } from '../../stores/water/water-sources';
import { bookSpreadCheck, removeSpreadCheck } from '../../stores/tests/spread-checks';
import { adviceAt, fieldAt, goalAt } from '../at';
import { EXAMPLE_IDS, json, operation, type Call } from '../operation';
import { goalFactsOf } from '../standing';
import { findFieldYear } from '../../stores/field-years';

export const yearOperations = [
	operation('PUT /api/fields/{field}/{year}/goal', {
		summary: 'Sets crop and yield goal of a year, with what belongs to them',
		body: json<GoalAction>('actions#/definitions/GoalAction'),
		example: { crop: 'corn-grain', yieldGoal: 160, previousCrop: 'soybean', plantingDate: '2027-05-01' },
		stands: ({ params, desk }) => {
			const row = findFieldYear(desk.book, params.field, yearOf(params.year));
			return row && goalFactsOf(row);
		},
		run: (call, goal) => {
			const { book, library } = call.desk;
			const year = yearOf(call.params.year);
			checkGoal(cropOf(goal.crop, library.crops, '/crop'), goal.yieldGoal, '/yieldGoal');
			const fault = goal.plantingDate && plantingFault(goal.plantingDate, year);
			if (fault) throw new InputError([{ path: '/plantingDate', message: fault }]);
			setGoal(book, fieldAt(call).id, year, goalColumns(goal));
		}
	}),
	operation('PUT /api/fields/{field}/{year}/block', {
		summary:
			'Says what holds of a block in a year: its days, its leaf test, how it bears; what is left out is as usual',
		body: json<BlockYearAction>('actions#/definitions/BlockYearAction'),
		example: { blockYear: { budBreak: '2027-03-20', leaf: { N: 2.1, takenOn: '2026-07-25' } } },
		stands: (call) => blockYearOf(goalAt(call)),
		run: (call, { blockYear }) => {
			const row = goalAt(call);
			const days = ['budBreak', 'bloom', 'firstRipe', 'lastPicking'] as const;
			for (const day of days) {
				const fault = blockYear[day] && plantingFault(blockYear[day], row.year);
				if (fault) throw new InputError([{ path: `/blockYear/${day}`, message: fault }]);
			}
			const { book, library } = call.desk;
			const { station } = weatherFor(fieldAt(call), library);
			setBlockYear(book, row, blockYear, movedAlong(library, row, blockYear, listPasses(book, row.id), station));
		}
	}),
	operation('PUT /api/fields/{field}/{year}/irrigation', {
		summary: 'Says from which source a field is irrigated in a year and how much by month; null for none',
		body: json<IrrigationAction>('actions#/definitions/IrrigationAction'),
		example: { irrigation: { source: EXAMPLE_IDS.source, inchesByMonth: { 6: 4, 7: 8 }, irrigationsPerWeek: 2 } },
		stands: (call) => bookedIrrigation(goalAt(call)),
		run: (call, { irrigation }) => {
			const { book } = call.desk;
			const sources = listWaterSources(book);
			if (irrigation && !sources.some(({ id }) => id === irrigation.source)) {
				const message = `"${irrigation.source}" is no source of the book; known: ${sources.map(({ id, name }) => `${id} (${name})`).join(', ') || 'none yet'}`;
				throw new InputError([{ path: '/irrigation/source', message }]);
			}
			setIrrigation(book, goalAt(call), irrigation);
		}
	}),
	operation('POST /api/fields/{field}/{year}/loss', {
		summary: 'Frost or hail: takes a share off the expected crop and off the nitrogen after that day, in one action',
		body: json<LossAction>('actions#/definitions/LossAction'),
		example: { date: '2027-05-03', lostPercent: 50 },
		run: (call, loss) => {
			const { goal, passes, chosen } = adviceAt(call);
			const { book, library } = call.desk;
			const left = goal.yield_goal * (1 - loss.lostPercent / 100);
			const guideN = nitrogenAtGoal(call.desk, call.desk.fieldYear(call.params), goal, left);
			cutCrop(book, goal, afterLoss(loss, goal.yield_goal, passes, library.products, chosen, guideN));
		}
	}),
	operation('PUT /api/fields/{field}/{year}/harvest', {
		summary: 'Books the yield of a year; null takes it back',
		body: json<HarvestAction>('actions#/definitions/HarvestAction'),
		example: { harvestedYield: 151 },
		run: (call, { harvestedYield }) => {
			const row = goalAt(call);
			const grown = call.desk.library.crops.find(({ id }) => id === row.crop);
			// Hail leaves nothing: 0 is a harvest.
			if (grown && harvestedYield) checkGoal(grown, harvestedYield, '/harvestedYield');
			const planted = plantingDateOf(row, call.desk.library);
			if (harvestedYield !== null && planted > call.desk.today) {
				const message = `cannot be recorded before the crop is planted, ${planted}; today is ${call.desk.today}`;
				throw new InputError([{ path: '/harvestedYield', message }]);
			}
			bookHarvest(call.desk.book, row, harvestedYield);
		}
	}),
	operation('PUT /api/fields/{field}/{year}/liming', {
		summary: 'Says what the field is limed with, how deep and how; what is left out is as usual',
		body: json<LimingAction>('actions#/definitions/LimingAction'),
		example: { depthIn: 6, placement: 'incorporated' },
		run: (call, { product, depthIn, placement }) => {
			const known = call.desk.library.products.filter(({ lime }) => lime);
			if (product !== undefined && !known.some(({ id }) => id === product)) {
				throw new ActionError(`“${product}” is no lime; there are ${known.map(({ id }) => id).join(', ')}.`);
			}
			setLiming(call.desk.book, goalAt(call), {
				liming_product: product ?? null,
				lime_depth_in: depthIn ?? null,
				lime_placement: placement ?? null
			});
		}
	}),
	operation('PUT /api/fields/{field}/{year}/next-crop', {
		summary: 'Names the crop of the year after; an empty body takes it back',
		body: json<NextCropAction>('actions#/definitions/NextCropAction'),
		example: { crop: 'soybean', yieldGoal: 55 },
		run: (call, { crop, yieldGoal }) => {
			const next = crop === undefined ? undefined : cropOf(crop, call.desk.library.crops, '/crop');
			if (next && yieldGoal !== undefined) checkGoal(next, yieldGoal, '/yieldGoal');
			setNextCrop(call.desk.book, goalAt(call), { next_crop: crop ?? null, next_yield_goal: yieldGoal ?? null });
		}
	}),
	operation('PUT /api/fields/{field}/{year}/catch-crop', {
		summary: 'Says what is sown after the harvest to catch the nitrogen that was left; null takes it back',
		body: json<CatchCropAction>('actions#/definitions/CatchCropAction'),
		example: { catchCrop: { crop: 'cereal-rye', sownOn: '2027-09-28', endedOn: '2028-04-15' } },
		run: (call, { catchCrop }) => {
			const { book, library } = call.desk;
			const row = goalAt(call);
			if (catchCrop) catchCropModel(catchCrop, plantingDateOf(row, library), library.seasonModel);
			setCatchCrop(book, row, catchCrop);
		}
	}),
	operation('PUT /api/fields/{field}/{year}/second-crop', {
		summary:
			'Says what is planted after the harvest in the same year, and what was harvested of it; null takes it back',
		body: json<SecondCropAction>('actions#/definitions/SecondCropAction'),
		example: { secondCrop: { id: 'soybean', yieldGoal: 30, plantingDate: '2027-07-01' } },
		run: (call, { secondCrop }) => {
			const { book, library } = call.desk;
			const row = goalAt(call);
			if (secondCrop) checkSecondCrop(secondCrop, row, plantingDateOf(row, library), library);
			const of = call.desk.fieldYear(call.params);
			setSecondCrop(book, row, secondCrop && settledSecondCrop(call.desk, of, row, secondCrop));
		}
	}),
	operation('PUT /api/fields/{field}/{year}/nitrogen', {
		summary: 'Sets what is wanted of nitrogen this year, and what else brings some',
		body: json<NitrogenTerms>('advise-request#/definitions/NitrogenTerms'),
		example: { manureN: 20 },
		run: (call, terms) => setNitrogenTerms(call.desk.book, goalAt(call), terms)
	}),
	operation('POST /api/fields/{field}/{year}/choices', {
		summary: 'Settles the rates of nutrients by a method of a guide, or by own judgement with a reason',
		body: json<ChooseAction>('actions#/definitions/ChooseAction'),
		example: { choices: [{ nutrient: 'S', ownRate: 15, reason: 'Sandy knob, pale wheat last year' }] },
		run: (call, { choices, nitrogen, confirmSimulated }) => {
			const { goal, answer } = adviceAt(call);
			for (const { nutrient, method } of choices) {
				if (method === undefined) continue;
				const rate = answer.rates.find((candidate) => candidate.method === method && candidate.nutrient === nutrient);
				if (rate?.simulated && !confirmSimulated) {
					throw new ActionError(
						`${rate.worksheet.label} is a simulated curve, measured on no field: confirm that you want to go by it.`
					);
				}
				if (rate?.stands === 'for this dressing') {
					throw new ActionError(
						`${method} gives one application, not the nitrogen of the season. Take it into the season instead.`
					);
				}
			}
			const terms = nitrogen ? { ...goal, nitrogen: JSON.stringify(nitrogen) } : goal;
			const settled = settledChoices(call.desk, call.desk.fieldYear(call.params), terms, choices as Choice[]);
			choose(call.desk.book, goal, settled, choiceLabel(settled, answer.rates, nitrogen), nitrogen);
		}
	}),
	operation('DELETE /api/fields/{field}/{year}/choices/{nutrient}', {
		summary: 'Leaves a nutrient open again',
		run: (call) => unchoose(call.desk.book, goalAt(call), call.params.nutrient as RateNutrient)
	}),
	operation('POST /api/fields/{field}/{year}/crop-tests', {
		summary: 'Records a test in the crop',
		body: json<CropTestAction>('actions#/definitions/CropTestAction'),
		example: { kind: 'nitrate', found: { date: '2027-06-10', nitratePpm: 14, depthIn: 12 } },
		run: (call, { kind, found }) => {
			if (found.date === undefined)
				throw new InputError([{ path: '/found/date', message: 'must be the day of the test' }]);
			bookCropTest(call.desk.book, goalAt(call), kind, found);
		}
	}),
	operation('DELETE /api/fields/{field}/{year}/crop-tests/{test}', {
		summary: 'Removes a test in the crop',
		run: (call) => removeCropTest(call.desk.book, goalAt(call), cropTestAt(call))
	}),
	operation('POST /api/fields/{field}/{year}/spread-checks', {
		summary:
			'Records what palms of a block were found to have got, near the road, in the middle and at the centre path',
		body: json<SpreadCheck>('block#/definitions/SpreadCheck'),
		example: {
			date: '2027-03-18',
			orderedKg: 2.5,
			team: 'Team two',
			weighed: { road: [2.6, 2.5], middle: [2.4, 2.5], path: [2.3, 2.2] }
		},
		run: (call, check) => bookSpreadCheck(call.desk.book, goalAt(call), check)
	}),
	operation('DELETE /api/fields/{field}/{year}/spread-checks/{check}', {
		summary: 'Removes a check of the doses of palms',
		run: (call) => removeSpreadCheck(call.desk.book, goalAt(call), call.params.check)
	}),
	operation('POST /api/fields/{field}/{year}/crop-tests/{test}/use', {
		summary: 'Takes a test into the season: its rate, and the nitrogen passes that are left',
		body: json<Record<string, never>>('actions#/definitions/EmptyAction'),
		answer: json<NotesAnswer>('answers#/definitions/NotesAnswer'),
		example: {},
		run: (call) => {
			const { book, library, today } = call.desk;
			const advice = adviceAt(call);
			const fieldYear = call.desk.fieldYear(call.params);
			const after = afterTest(book, library, fieldYear, advice, cropTestAt(call), today, fieldYear.field.units);
			const { removed, added, notes } = after.change;
			changeSeason(book, advice.goal, after.why, after.choices, removed, added);
			return { notes };
		}
	})
] as const;

function cropTestAt(call: Call<'{field}{year}{test}'>): CropTest {
	return listCropTests(call.desk.book, goalAt(call).id).find(({ id }) => id === call.params.test)!;
}
