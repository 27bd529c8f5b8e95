import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { Crop } from '../../schema-types';

/**
 * Nitrogen balance, lb N/ac: applied less what the crop takes off (yield x nitrogen in a unit of yield). Above zero
 * it stays in the ground, the water or the air.
 * @param applied lb N/ac
 * @param harvest in the crop's yield unit
 * @returns does not apply to crops that fix their nitrogen or whose nitrogen is not known
 */
export function nitrogenBalance(crop: Crop, applied: Figure, harvest: Figure): Answer {
	const label = 'nitrogen balance';
	const removed = nitrogenRemoved(crop, harvest);
	if (!removed.applies) return notApplicable(label, removed.reason, removed.remedy);
	return figure({
		label,
		value: applied.value - removed.value,
		unit: 'lb/ac',
		formula: 'applied - taken off with the crop',
		inputs: [applied, removed],
		basis: removed.basis,
		citation: removed.citation
	});
}

/** Nitrogen that leaves with the crop, lb N/ac. */
export function nitrogenRemoved(crop: Crop, harvest: Figure): Answer {
	const label = 'taken off with the crop';
	const content = crop.nitrogenContent;
	const name = crop.name.toLowerCase();
	if (!content) {
		return notApplicable(label, `the nitrogen in a unit of ${name} is not known`, 'Have the crop analysed.');
	}
	if (content.fixes) {
		return notApplicable(label, `${name} draws its nitrogen from the air`, 'Look at the balance of the next crop.');
	}
	const { basis, citation } = content;
	const perUnit = figure({
		label: 'nitrogen in a unit of yield',
		value: content.lbPerYield,
		unit: `lb per ${crop.yieldUnit.replace('/ac', '')}`,
		basis,
		citation
	});
	return figure({
		label,
		value: harvest.value * content.lbPerYield,
		unit: 'lb/ac',
		formula: 'yield x nitrogen in a unit',
		inputs: [harvest, perUnit],
		basis,
		citation
	});
}

/** Pounds of nitrogen in a unit of yield; undefined for crops that fix theirs or whose nitrogen is not known. */
export function nitrogenPerYield({ nitrogenContent }: Crop): number | undefined {
	return nitrogenContent && !nitrogenContent.fixes ? nitrogenContent.lbPerYield : undefined;
}
