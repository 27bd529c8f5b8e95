import type { Additive, Pass, Product } from '../../schema-types';
import { productOf } from '../plan-context';
import { dressingOfPass } from '../model/dressing-of-pass';
import type { SeasonCheck } from './check';

/** An inhibitor that guards against a loss that is not going to happen. */
export const additivePathwayCheck: SeasonCheck = (passes, { products }) =>
	passes.flatMap((pass) => {
		const why = mismatch(pass, productOf(pass, products));
		if (!why) return [];
		const { additive, ...without } = pass;
		const kept = remaining(additive!, why.additive);
		return [
			{
				rule: 'additive-pathway',
				severity: 'mind' as const,
				pass: pass.id,
				text: why.text,
				basis: 'practice' as const,
				remedies: [
					{ label: `Leave the ${why.additive} out`, passes: [kept ? { ...without, additive: kept } : without] }
				]
			}
		];
	});

type Single = Exclude<Additive, 'both inhibitors'>;

function mismatch(pass: Pass, product: Product): { additive: Single; text: string } | undefined {
	const dressing = dressingOfPass(pass, product, 0);
	if (!dressing) return undefined;
	const { urea, coated, ammonium, lies, ureaseInhibitor, nitrificationInhibitor } = dressing;
	if (ureaseInhibitor && urea + coated === 0) {
		return { additive: 'urease inhibitor', text: `${product.name} holds no urea: a urease inhibitor guards nothing.` };
	}
	if (ureaseInhibitor && (lies === 'mixed in' || lies === 'band')) {
		return {
			additive: 'urease inhibitor',
			text: `${pass.label} lies in the soil, where urea loses next to no ammonia: a urease inhibitor guards nothing.`
		};
	}
	if (nitrificationInhibitor && urea + coated + ammonium === 0) {
		return {
			additive: 'nitrification inhibitor',
			text: `${product.name} is nitrate already: a nitrification inhibitor guards nothing.`
		};
	}
	return undefined;
}

function remaining(now: Additive, off: Single): Additive | undefined {
	if (now !== 'both inhibitors') return undefined;
	return off === 'urease inhibitor' ? 'nitrification inhibitor' : 'urease inhibitor';
}
