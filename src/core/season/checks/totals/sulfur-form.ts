import { amountText } from '../../../units/amount-text';
import { parseISO } from 'date-fns';
import type { Pass, Product } from '../../../schema-types';
import { passNutrient, productFor } from '../../plan/pass/pass-nutrients';
import { plainSulfate } from '../../plan/usual-source';
import { hasTrait } from '../../plan/crop-traits';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { harvestYear } from '../../stages/stage-dates';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { readyShare, slackLb } = RULES['sulfur-form'];

/** Sulfur that is not ready when the crop needs it, or gone before it does. */
export const sulfurFormCheck: SeasonCheck = (passes, context) => [
	...elemental(passes, context),
	...autumnSulfate(passes, context)
];

const sulfurIn = (pass: Pass, product: Product) => passNutrient(pass, product, 'S');

function elemental(passes: readonly Pass[], context: PlanContext): ReturnType<SeasonCheck> {
	const wanted = context.chosen.S;
	const carriers = passes.map((pass) => ({ pass, product: productOf(pass, context.products) }));
	const ready = carriers.reduce(
		(sum, { pass, product }) => sum + sulfurIn(pass, product) * readyShare[product.sulfurForm ?? 'sulfate'],
		0
	);
	const late = carriers.filter(({ product }) => product.sulfurForm === 'elemental');
	if (wanted === undefined || late.length === 0 || ready >= wanted - slackLb) return [];
	const sulfate = plainSulfate(context.products);
	return late.map(({ pass, product }) => ({
		rule: 'sulfur-form',
		severity: 'mind' as const,
		pass: pass.id,
		text: `Elemental sulfur has to oxidise first, weeks to months: of the ${amountText(context.units).ofArea(wanted, 'S')} wanted, ${amountText(context.units)(ready)} are ready this season. Count it for next season.`,
		basis: 'practice' as const,
		remedies: sulfate
			? [
					{
						label: `Take ${sulfate.name.toLowerCase()} instead`,
						passes: [
							{
								...pass,
								product: sulfate.id,
								rate: productFor(sulfurIn(pass, product), sulfate, 'S'),
								unit: 'lb/ac' as const,
								placement: 'broadcast' as const
							}
						]
					}
				]
			: []
	}));
}

/** Sulfate put on from September to December before a crop that grows in spring leaches over winter. */
function autumnSulfate(
	passes: readonly Pass[],
	{ products, crop, plantingDate }: PlanContext
): ReturnType<SeasonCheck> {
	if (crop.perennial || hasTrait(crop, 'forage-stand')) return [];
	return passes.flatMap((pass) => {
		const product = productOf(pass, products);
		const month = parseISO(pass.date).getMonth();
		// Lb that are worth a caution: what zinc or copper sulfate carries along is not.
		if (product.sulfurForm !== 'sulfate' || month < 8 || sulfurIn(pass, product) < slackLb) return [];
		const spring = `${harvestYear(plantingDate)}-03-20`;
		return [
			{
				rule: 'autumn-sulfate',
				severity: 'mind' as const,
				pass: pass.id,
				text: `${product.name} in autumn: sulfate leaches over winter.`,
				basis: 'practice' as const,
				remedies: [{ label: 'Put it on in spring', passes: [{ ...pass, date: spring }] }]
			}
		];
	});
}
