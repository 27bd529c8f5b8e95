import { basesOf } from '../../../ground/block/rate-bases';
import type { Figure } from '../../../figure/figure';
import type { Block, Pass, Product } from '../../../schema-types';
import { passPounds } from './pass-figures';

/**
 * Product of a pass for each plant, each length of row and each treated area of a block, lb.
 * @returns those that the block's spacings give; none on arable ground or of lime
 */
export function passBases(
	pass: Pass,
	product: Product,
	block: Block | undefined,
	areaAc: number | undefined
): Figure[] {
	if (!block || product.lime) return [];
	const { perPlant, per100Row, perTreated } = basesOf(passPounds(pass, product), block, areaAc);
	return [perPlant, per100Row, perTreated].filter((answer) => answer.applies);
}
