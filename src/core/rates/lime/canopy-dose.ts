import { plantsPerAcre, treatedShare } from '../../ground/block/plant-density';
import { figure, type Answer } from '../../figure/figure';
import type { Site } from '../../reading/site';
import type { CanopyDose } from '../../schema-types';
import { LB_PER_SHORT_TON } from '../../units/factors';

/**
 * A lime rate where only the ground under the canopy is limed: short tons for an acre of the block, and lb for a tree. The rate itself
 * is that of an acre of canopy. Geometry.
 * @returns undefined for a field without a block, or without lime; each part says what it lacks
 */
export function canopyDose(rate: Answer, { block, areaAc }: Pick<Site, 'block' | 'areaAc'>): CanopyDose | undefined {
	if (!block || !rate.applies || rate.value === 0) return undefined;
	const share = treatedShare(block);
	if (!share.applies) return { perBlockAcre: share, perPlant: share };
	const perBlockAcre = figure({
		label: 'lime under the canopy, for an acre of the block',
		value: rate.value * share.value,
		unit: 'short ton/ac',
		formula: 'rate x treated share',
		inputs: [rate, share],
		basis: 'practice'
	});
	const plants = plantsPerAcre(block, areaAc);
	if (!plants.applies) return { perBlockAcre, perPlant: plants };
	const perPlant = figure({
		label: 'lime under one tree',
		value: (perBlockAcre.value * LB_PER_SHORT_TON) / plants.value,
		unit: 'lb/plant',
		formula: `short tons for an acre x ${LB_PER_SHORT_TON} / plants`,
		inputs: [perBlockAcre, plants],
		basis: 'practice'
	});
	return { perBlockAcre, perPlant };
}
