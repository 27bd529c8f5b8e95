import { compileRule } from '../../packs/compile-rule';
import type { CompiledRule } from '../../packs/pack';
import type { AdviseRequest, EconomicResponse, PackDocument, ResponseCurve, Rule } from '../../schema-types';
import { economicResponse } from './response/economic-response';

/** The guide that the adviser's own curves stand in. */
export const OWN_CURVES = 'own-curves';

/**
 * The adviser's response curves for this crop as rules of a guide of their own. A curve that speaks for another soil
 * or rotation is left out.
 */
export function ownCurveRules({ responseCurves = [], crop, field }: AdviseRequest): CompiledRule[] {
	const fitting = responseCurves.filter((curve) => speaksFor(curve, crop, field));
	const pack: PackDocument = {
		id: OWN_CURVES,
		version: '1.0.0',
		title: 'Own curves',
		region: '',
		edition: '',
		rules: fitting.map(ruleOf)
	};
	return pack.rules.map((rule) => compileRule(pack, rule, economicResponse));
}

/** Whether a rule stands on a curve of the request that is simulated, not measured. */
export function isSimulated({ method }: Pick<CompiledRule, 'method'>, { responseCurves = [] }: AdviseRequest): boolean {
	return responseCurves.some(({ id, simulated }) => simulated === true && method === `${OWN_CURVES}/${id}`);
}

/** Whether a curve is of this crop and says nothing against this soil and rotation. */
export function speaksFor(
	curve: ResponseCurve,
	crop: Pick<AdviseRequest['crop'], 'id' | 'previousCrop'>,
	{ textureClass }: Pick<AdviseRequest['field'], 'textureClass'>
): boolean {
	const { previousCrops, textureClasses } = curve;
	const rotation = !previousCrops || crop.previousCrop === undefined || previousCrops.includes(crop.previousCrop);
	const soil = !textureClasses || textureClass === undefined || textureClasses.includes(textureClass);
	return curve.crop === crop.id && rotation && soil;
}

function ruleOf({ id, title, curve, lowestRate, highestRate, basis, source, simulated }: ResponseCurve): Rule {
	const parameters: EconomicResponse = { curve, lowestRate, highestRate };
	return {
		id,
		title,
		gives: 'N',
		school: 'economic-optimum',
		kind: 'economic-response',
		unit: 'lb/ac',
		basis,
		citation: source,
		cautions: simulated ? ['A simulated curve, for show: not measured on any field.'] : [],
		parameters: parameters as Rule['parameters'],
		examples: []
	};
}
