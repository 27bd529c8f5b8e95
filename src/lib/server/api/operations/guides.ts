import { InputError } from '../../../../core/check/problem';
import { isMethodOf, methodName } from '../../../../core/ground/lab-file/lab-methods';
import { readPackText } from '../../../../core/packs/read-pack-text';
import { ruleKinds } from '../../../../core/rates/kinds';
import { checkCurve } from '../../../../core/rates/nitrogen/check-curve';
import type { OpenFields } from '../../../../core/rates/open-fields';
import type {
	CalibratedRuleAction,
	CreatedAnswer,
	CurveAction,
	GuideAction,
	GuideUseAction,
	PackDocument
} from '../../../../core/schema-types';
import { answerCalibrate } from '../../../../core/trials/calibration/answer-calibrate';
import {
	CALIBRATED_ANALYTE,
	CALIBRATED_GUIDE,
	calibratedGuide
} from '../../../../core/trials/calibration/calibrated-guide';
import { ActionError } from '../../book/action-error';
import { openFields } from '../../field/open-fields';
import { cropIds, theLibrary } from '../../knowledge';
import { listGuides, removeGuide, saveGuide, setGuideOff } from '../../stores/guides';
import { addCurve, listCurves, removeCurve } from '../../stores/response-curves';
import { CALIBRATED_EXAMPLE, CURVE_EXAMPLE, GUIDE_EXAMPLE } from '../examples';
import { json, operation, type Call } from '../operation';
import { NotThere } from '../refusals';

export const guideOperations = [
	operation('POST /api/guides', {
		summary: 'Takes a guide of the adviser’s own into the book; refused with every problem and its line',
		body: json<GuideAction>('actions#/definitions/GuideAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: { text: GUIDE_EXAMPLE },
		run: ({ desk }, { text }) => {
			const { document, problems } = readPackText(text, ruleKinds, cropIds(theLibrary()));
			if (problems.length > 0) throw new InputError(problems);
			const guide = document as PackDocument;
			if (theLibrary().packs.packs.some(({ id }) => id === guide.id)) {
				throw new ActionError(
					`“${guide.id}” is the name of a guide that comes with the program; give your copy another id.`
				);
			}
			saveGuide(desk.book, guide, new Date().toISOString());
			return { id: guide.id };
		}
	}),
	operation('POST /api/guides/calibrated', {
		summary: 'Makes a rule of the adviser’s own guide from the critical value of sites',
		body: json<CalibratedRuleAction>('trial#/definitions/CalibratedRuleAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: CALIBRATED_EXAMPLE,
		run: ({ desk }, action) => {
			const { nutrient, method, model, observations } = action;
			if (!isMethodOf(CALIBRATED_ANALYTE[nutrient], method)) {
				const message = `${methodName(method)} does not measure ${CALIBRATED_ANALYTE[nutrient]}`;
				throw new InputError([{ path: '/method', message }]);
			}
			const fit = answerCalibrate({ observations }).fits.find((one) => one.model === model)!;
			if (fit.critical === null) throw new InputError([{ path: '/model', message: fit.reason ?? 'does not apply' }]);
			const before = listGuides(desk.book).find(({ document }) => document.id === CALIBRATED_GUIDE)?.document;
			if (before && before.samplingDepthIn !== action.samplingDepthIn) {
				const message = `must be ${before.samplingDepthIn} as in the guide that stands; got ${action.samplingDepthIn}`;
				throw new InputError([{ path: '/samplingDepthIn', message }]);
			}
			const guide = calibratedGuide(action, fit, fit.critical, before, desk.today);
			const { problems } = readPackText(JSON.stringify(guide, null, '\t'), ruleKinds, cropIds(theLibrary()));
			if (problems.length > 0) throw new InputError(problems);
			saveGuide(desk.book, guide, new Date().toISOString());
			return { id: guide.id };
		}
	}),
	operation('GET /api/guides/fields', {
		summary: 'Gives the requests of all open fields, to try a changed guide on',
		answer: json<OpenFields>('answers#/definitions/OpenFieldsAnswer'),
		run: ({ desk }) => openFields(desk)
	}),
	operation('PATCH /api/guides/{guide}', {
		summary: 'Sets a guide aside, so that its columns are not shown, or takes it into use again',
		body: json<GuideUseAction>('actions#/definitions/GuideUseAction'),
		example: { off: true },
		run: (call, { off }) => setGuideOff(call.desk.book, call.params.guide, guideTitle(call), off)
	}),
	operation('DELETE /api/guides/{guide}', {
		summary: 'Removes a guide of the book; its versions stay',
		run: (call) => removeGuide(call.desk.book, call.params.guide, guideTitle(call))
	}),
	operation('POST /api/curves', {
		summary: 'Puts a curve of yield against nitrogen into the library',
		body: json<CurveAction>('actions#/definitions/CurveAction'),
		example: { curve: CURVE_EXAMPLE },
		run: ({ desk }, { curve }) => addCurve(desk.book, checkCurve(curve, '/curve'))
	}),
	operation('DELETE /api/curves/{curve}', {
		summary: 'Removes a curve from the library',
		run: ({ params, desk }) =>
			removeCurve(
				desk.book,
				listCurves(desk.book).find(({ id }) => id === params.curve)!
			)
	})
] as const;

function guideTitle({ params, desk }: Call<'{guide}'>): string {
	const guide = desk.library.packs.packs.find(({ id }) => id === params.guide);
	if (!guide) throw new NotThere('There is no such guide.');
	return guide.title;
}
