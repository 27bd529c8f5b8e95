import { keysOf } from '../check/typed-object';
import type { Problem } from '../check/problem';
import type { CropId, PackDocument } from '../schema-types';
import type { CompiledRule } from './pack';

/** The inputs that are a pH of the soil; a buffer pH has a scale of its own. */
const SOIL_PH_INPUTS: ReadonlySet<string> = new Set(['soilPh', 'targetPh']);

/**
 * Water and CaCl2 are different scales. A pack that reads soil pH names the one it was calibrated on, and every pH
 * in it is on that scale.
 */
export function* phScaleProblems({ pack, rule, kind, parametersFor }: CompiledRule, path: string): Generator<Problem> {
	const crops = rule.crops ? keysOf<CropId>(rule.crops) : [undefined];
	for (const crop of crops) {
		const parameters = parametersFor(crop);
		const at = crop ? `${path}/crops/${crop}` : `${path}/parameters`;
		if (!pack.phScale && kind.needs(parameters).some((name) => SOIL_PH_INPUTS.has(name))) {
			yield { path: '/phScale', message: `is missing: "${rule.id}" reads soil pH; name "water" or "cacl2"` };
			return;
		}
		yield* otherScale(parameters, pack, at);
	}
	const methods = rule.soilTest?.analyte === 'pH' ? rule.soilTest.methods : [];
	for (const [index, method] of methods.entries()) {
		if (method !== pack.phScale) yield mixed(`${path}/soilTest/methods/${index}`, method, pack);
	}
}

function* otherScale(value: unknown, pack: PackDocument, path: string): Generator<Problem> {
	if (typeof value !== 'object' || value === null) return;
	if ('ph' in value && 'scale' in value && value.scale !== pack.phScale) yield mixed(path, String(value.scale), pack);
	for (const [key, part] of Object.entries(value)) yield* otherScale(part, pack, `${path}/${key}`);
}

function mixed(path: string, scale: string, { phScale }: PackDocument): Problem {
	return {
		path,
		message: `is on the scale "${scale}", and the pack on "${phScale ?? 'none'}": the two pH scales are never mixed; put the rule into a pack of its own`
	};
}
