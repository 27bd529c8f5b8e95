import { offeredFor } from './catalogue/offered-for';
import type { Pass, Product } from '../schema-types';
import { formatNumber } from '../units/display';
import { passNutrient, poundsPerAcre } from '../season/plan/pass/pass-nutrients';
import { hasTrait } from '../season/plan/crop-traits';
import { productOf, type PlanContext } from '../season/plan/plan-context';

/** What speaks for another source in a pass. */
export interface SourceAdvice {
	pass: string;
	text: string;
	/** Products that would do, by id. */
	instead: string[];
}

/** What the advice looks at beside the plan. */
export interface SourceGround {
	context: PlanContext;
	/** The target in water, as soilPh is; undefined where none is known on that scale. */
	targetPh: number | undefined;
	/** Exchangeable magnesium is short, by the reading. */
	magnesiumShort: boolean;
}

/** Ground so far below its target is acid enough for the source to matter: judgement. */
const ACID_BY = 0.5;
/** lb CaCO3 for each lb N; above it a source sours quickly: ammonium sulfate 5.4 against urea 1.8 (Pierre 1933, memory). */
const SOURING = 3;
/** So much chloride in a season harms a crop that is sensitive to it, lb/ac: judgement. */
const CHLORIDE_LB = 50;
const LEAST_LB = 10;
/** A potash with no more of it counts as free of chloride: sulfates of potash are sold with 1 to 3 %. Practice. */
const MOST_CHLORIDE_PERCENT = 3;
/** % S of a nitrogen product that is bought for both. Practice. */
const LEAST_SULFUR_PERCENT = 10;
const MOST_OFFERED = 3;

/** What acid ground, chloride, magnesium, sulfur and the drip line have to say about the sources of a plan. Common practice. */
export function sourceAdvice(passes: readonly Pass[], ground: SourceGround): SourceAdvice[] {
	return passes.flatMap((pass) => {
		const product = productOf(pass, ground.context.products);
		return [
			...acidGround(pass, product, ground),
			...chloride(pass, product, ground),
			...magnesium(pass, product, ground),
			...sulfur(pass, product, passes, ground),
			...inWater(pass, product)
		];
	});
}

/** What of the catalogue would do in this place, the best first; an adviser's own products are judged like the rest. */
function offered(
	{ products, crop }: PlanContext,
	{ placement }: Pass,
	rank: (product: Product) => number | undefined
): string[] {
	return products
		.filter((product) => offeredFor(product, crop.id))
		.flatMap((product) => {
			const merit = product.placements.includes(placement) ? rank(product) : undefined;
			return merit === undefined ? [] : [{ id: product.id, merit }];
		})
		.sort((a, b) => b.merit - a.merit)
		.slice(0, MOST_OFFERED)
		.map(({ id }) => id);
}

/** Bought for its nitrogen, not for what it carries along. */
function forNitrogen({ analysis: { N = 0, P2O5 = 0, K2O = 0, S = 0 } }: Product): boolean {
	return N > Math.max(P2O5, K2O, S);
}

function acidGround(pass: Pass, product: Product, { context, targetPh }: SourceGround): SourceAdvice[] {
	const { soilPh } = context;
	const souring = product.acidity?.per === 'N' && product.acidity.caco3Lb >= SOURING;
	if (!souring || soilPh === undefined || targetPh === undefined || soilPh > targetPh - ACID_BY) return [];
	// Phosphate that carries some nitrogen along is bought for the phosphate.
	const { N = 0, P2O5 = 0, K2O = 0 } = product.analysis;
	if (N <= Math.max(P2O5, K2O) || passNutrient(pass, product, 'N') < LEAST_LB) return [];
	const instead = offered(context, pass, (other) => {
		const sours = other.acidity?.per === 'N' ? other.acidity.caco3Lb : undefined;
		return sours === undefined || sours >= SOURING || !forNitrogen(other) ? undefined : -sours;
	});
	const debt = formatNumber(product.acidity!.caco3Lb, 'ratio');
	return [
		{
			pass: pass.id,
			text: `pH ${formatNumber(soilPh, 'pH')} is already below its target ${formatNumber(targetPh, 'pH')}, and each lb of this nitrogen costs ${debt} lb of lime: nitrate and calcium sources sour less.`,
			instead
		}
	];
}

function chloride(pass: Pass, product: Product, { context }: SourceGround): SourceAdvice[] {
	const pounds = (poundsPerAcre(pass, product) * (product.chloridePercent ?? 0)) / 100;
	if (!hasTrait(context.crop, 'sensitive-to-chloride') || pounds < CHLORIDE_LB) return [];
	return [
		{
			pass: pass.id,
			text: `${formatNumber(Math.round(pounds), 'lb/ac')} lb of chloride, to which ${context.crop.name.toLowerCase()} is sensitive: sulfate of potash brings none.`,
			instead: offered(context, pass, ({ analysis, chloridePercent, nitrogenForms }) => {
				const { K2O = 0, P2O5 } = analysis;
				const free = chloridePercent !== undefined && chloridePercent <= MOST_CHLORIDE_PERCENT;
				return K2O > 0 && !P2O5 && !nitrogenForms && free ? K2O : undefined;
			})
		}
	];
}

function magnesium(pass: Pass, product: Product, { context, magnesiumShort }: SourceGround): SourceAdvice[] {
	if (!magnesiumShort) return [];
	if (product.lime && (product.analysis.Mg ?? 0) === 0) {
		const text = 'Magnesium is short here: dolomitic lime brings it with the lime.';
		return [
			{
				pass: pass.id,
				text,
				instead: offered(context, pass, ({ lime, analysis: { Mg } }) => (lime && Mg ? Mg : undefined))
			}
		];
	}
	if (passNutrient(pass, product, 'K2O') >= LEAST_LB && (product.analysis.Mg ?? 0) === 0) {
		const text = 'Magnesium is short here: potassium-magnesium sulfate brings it with the potash.';
		return [
			{
				pass: pass.id,
				text,
				instead: offered(context, pass, ({ analysis: { K2O, Mg } }) => (K2O && Mg ? Mg : undefined))
			}
		];
	}
	return [];
}

function sulfur(pass: Pass, product: Product, passes: readonly Pass[], { context }: SourceGround): SourceAdvice[] {
	const wanted = context.chosen.S ?? 0;
	const carried = passes.reduce((sum, one) => sum + passNutrient(one, productOf(one, context.products), 'S'), 0);
	const main = passNutrient(pass, product, 'N') >= LEAST_LB && Object.keys(product.analysis).length === 1;
	if (!main || wanted - carried < 1) return [];
	return [
		{
			pass: pass.id,
			text: `${formatNumber(wanted - carried, 'lb/ac')} lb S are still to find a place: ammonium sulfate or thiosulfate brings them with the nitrogen.`,
			instead: offered(context, pass, ({ sulfurForm, analysis: { N = 0, P2O5, S = 0 } }) =>
				N > 0 && S >= LEAST_SULFUR_PERCENT && !P2O5 && sulfurForm !== 'elemental' ? S : undefined
			)
		}
	];
}

function inWater(pass: Pass, product: Product): SourceAdvice[] {
	if (pass.placement !== 'drip' || !product.dissolves || product.dissolves === 'liquid' || product.dissolves === 'fast')
		return [];
	const how = { slow: 'dissolves slowly', partly: 'leaves a residue', not: 'does not dissolve' }[product.dissolves];
	return [
		{
			pass: pass.id,
			text: `${product.name} ${how}: the drip line needs what is fully dissolved, so give it warm water and time, or another source.`,
			instead: []
		}
	];
}
