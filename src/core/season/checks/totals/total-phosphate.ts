import type { PassCheck } from '../../../schema-types';
import { amountText } from '../../../units/amount-text';
import { passNutrient, poundsPerAcre } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, acidBelowPh } = RULES['total-phosphate'];

/** Rock phosphate: what it brings in all beside what is available now. On acid ground estates count it by its total. */
export const totalPhosphateCheck: SeasonCheck = (passes, { products, soilPh, units }) =>
	passes.flatMap((pass): PassCheck[] => {
		const product = productOf(pass, products);
		const percent = product.totalP2O5Percent;
		if (percent === undefined) return [];
		const total = (poundsPerAcre(pass, product) * percent) / 100;
		const available = passNutrient(pass, product, 'P2O5');
		const say = amountText(units);
		const acid = soilPh !== undefined && soilPh < acidBelowPh;
		return [
			{
				rule: 'total-phosphate',
				severity: 'note',
				pass: pass.id,
				text: `${product.name} brings ${say(total)} P2O5 in all. ${say(available)} of it is available now.${acid ? ` On ground below pH ${acidBelowPh} the rest follows: estates count the total there.` : ''}`,
				basis,
				remedies: []
			}
		];
	});
