import { entriesOf } from '../../check/typed-object';
import type { Analyte, AdviseRequest } from '../../schema-types';
import { inputBreaks } from '../../reading/input-breaks';
import { soilLayers } from '../../reading/soil/soil-layers';
import type { CropRule } from '../../packs/pack';
import { noNumbers } from '../../packs/rule-kind';
import type { Knowledge } from '../../rates/advise';
import { ratesOfMany } from '../../rates/rates-of-many';
import { atValues, isRefused, linesOf, type InputLine } from './input-lines';
import { regionsOf, type CellValues, type Differs, type Region } from './regions';

/**
 * One method's rate in every cell, lb/ac or short tons/ac; NaN where it does not apply or a value is missing. Between the
 * turns of its inputs (`inputBreaks`) they follow the cells' values in straight lines, as nearly all do, and are worked out as
 * arrays; others are read cell by cell.
 * @param request of the field
 * @returns in words why the method has no surface
 */
export function rateSurface(
	request: AdviseRequest,
	method: string,
	cells: CellValues,
	knowledge: Knowledge,
	today: string
): Float64Array | string {
	const compiled = knowledge.packs.rules.find((rule) => rule.method === method);
	if (!compiled) return `the method ${method} is not known`;
	const { kind } = compiled;
	const rule = compiled.forCrop(request.crop.id);
	if (kind.byZone || kind.test) return 'this method goes by strips or a test in the crop: it is rated by zone';
	const crop = knowledge.crops.find(({ id }) => id === request.crop.id);
	if (!rule || !crop) return 'not for this crop';
	const count = Object.values(cells)[0]?.length ?? 0;
	const rates = new Float64Array(count).fill(NaN);
	const names = rule.needs;
	const soil = soilLayers(request.sample, '/sample');
	const analytes = Object.keys(cells).filter((key): key is Differs & Analyte => key !== 'yieldGoal');
	for (const region of regionsOf(cells, inputBreaks(compiled, crop, soil, analytes), soil)) {
		if (isRefused(request, compiled, region, knowledge, today)) continue;
		const layers = isSmall(region, cells) ? 'bent' : linesOf(request, compiled, names, cells, region, knowledge, today);
		if (layers.length === 0) continue;
		if (layers === 'bent') cellByCell(request, method, cells, region.cells, rates, knowledge, today);
		else alongLines(rule, layers, region.cells, rates);
	}
	return rates;
}

/** Whether its cells are no more than the places at which lines would be probed. */
function isSmall({ cells: own }: Region, cells: CellValues): boolean {
	return own !== undefined && own.length <= 2 * Object.keys(cells).length + 2;
}

/** The rule over cells whose inputs are lines, summed over its layers. */
function alongLines(
	{ needs: names, evaluate }: CropRule,
	layers: readonly InputLine[][],
	cells: Region['cells'],
	rates: Float64Array
): void {
	const numbers = noNumbers();
	const count = cells?.length ?? rates.length;
	for (let place = 0; place < count; place++) rates[cells ? cells[place]! : place] = 0;
	for (const lines of layers) {
		for (let place = 0; place < count; place++) {
			const cell = cells ? cells[place]! : place;
			for (let at = 0; at < names.length; at++) {
				const { constant, slopes } = lines[at]!;
				let value = constant;
				for (const { values, slope } of slopes) value += slope * values[cell]!;
				numbers[names[at]!] = value;
			}
			rates[cell]! += evaluate(numbers);
		}
	}
}

function cellByCell(
	request: AdviseRequest,
	method: string,
	cells: CellValues,
	among: Region['cells'],
	rates: Float64Array,
	{ packs, ...rest }: Knowledge,
	today: string
): void {
	const differing = entriesOf(cells);
	const known: number[] = [];
	for (const cell of among ?? rates.keys()) {
		if (differing.every(([, values]) => !Number.isNaN(values[cell]))) known.push(cell);
	}
	const requests = function* (): Generator<AdviseRequest> {
		for (const cell of known)
			yield atValues(request, Object.fromEntries(differing.map(([key, values]) => [key, values[cell]!])));
	};
	const only = { ...rest, packs: { packs: packs.packs, rules: packs.rules.filter((rule) => rule.method === method) } };
	const run = ratesOfMany(requests(), known.length, only, today);
	let step = run.next();
	while (!step.done) step = run.next();
	known.forEach((cell, at) => (rates[cell] = step.done ? step.value.rates[at]! : NaN));
}
