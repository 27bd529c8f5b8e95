import { amountText } from '../../../units/amount-text';
import { DAY_MS } from '../../../units/factors';
import type { Pass, PassCheck } from '../../../schema-types';
import { passNutrient, productFor } from '../../plan/pass/pass-nutrients';
import { hasTrait } from '../../plan/crop-traits';
import { productOf, type PlanContext } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { RULES } from '../season-rules';

const { basis, leastLb, withinDays, firstSulfurLb, slackLb, sulfurSource } = RULES['wheat-sulfur'];

/** Wheat wants its sulfur with the first nitrogen of spring; manure does not bring it in time. */
export const wheatSulfurCheck: SeasonCheck = (passes, context) => {
	if (!hasTrait(context.crop, 'wheat')) return [];
	const first = passes
		.filter((pass) => isSpring(pass) && carries(pass, 'N', context) > leastLb.N)
		.reduce<Pass | undefined>((early, pass) => (early && early.date <= pass.date ? early : pass), undefined);
	return first ? [...manuredOnly(passes, first, context), ...tooLate(passes, first, context)] : [];
};

function carries(pass: Pass, nutrient: 'N' | 'S', { products }: PlanContext): number {
	return passNutrient(pass, productOf(pass, products), nutrient);
}

function isSpring({ date }: Pass): boolean {
	return Number(date.slice(5, 7)) < 8;
}

function daysAfter(pass: Pass, first: Pass): number {
	return (Date.parse(pass.date) - Date.parse(first.date)) / DAY_MS;
}

/** In a cold, late spring the sulfur of manure comes after the crop needed it. */
function manuredOnly(passes: readonly Pass[], first: Pass, context: PlanContext): PassCheck[] {
	const isManure = (pass: Pass) => productOf(pass, context.products).manure !== undefined;
	if (!context.manured && !passes.some(isManure)) return [];
	const ready = passes
		.filter((pass) => !isManure(pass) && Math.abs(daysAfter(pass, first)) <= withinDays)
		.reduce((sum, pass) => sum + carries(pass, 'S', context), 0);
	const source = context.products.find(({ id }) => id === sulfurSource);
	if (ready >= firstSulfurLb - slackLb || !source) return [];
	const more: Pass = {
		id: `${first.id}-sulfur`,
		date: first.date,
		label: 'S with the first nitrogen',
		product: source.id,
		rate: productFor(firstSulfurLb - ready, source, 'S'),
		unit: 'lb/ac',
		placement: 'top-dress',
		reason: 'The sulfur of manure comes too late in a cold spring.'
	};
	return [
		{
			rule: 'wheat-sulfur',
			severity: 'mind',
			pass: first.id,
			text: `Manure does not replace the first ${amountText(context.units)(firstSulfurLb)} S of wheat: in a cold, late spring its sulfur comes too late, and ${amountText(context.units)(ready)} go on with the first nitrogen.`,
			basis,
			remedies: [{ label: `Add ${source.name.toLowerCase()} to the first pass`, passes: [first, more] }]
		}
	];
}

function tooLate(passes: readonly Pass[], first: Pass, context: PlanContext): PassCheck[] {
	return passes.flatMap((pass) => {
		const late = daysAfter(pass, first);
		const sulfur = carries(pass, 'S', context);
		if (!isSpring(pass) || sulfur < leastLb.S || late <= withinDays) return [];
		return [
			{
				rule: 'wheat-sulfur',
				severity: 'mind' as const,
				pass: pass.id,
				text: `${amountText(context.units)(sulfur)} S come ${late} days after the first nitrogen of spring; wheat wants them with it.`,
				basis,
				remedies: [movedTo(pass, first.date, 'with the first nitrogen')]
			}
		];
	});
}
