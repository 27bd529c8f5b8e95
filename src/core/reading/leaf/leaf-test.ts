import { figure, notApplicable, type Answer } from '../../figure/figure';
import { sharedParameters } from '../../packs/parameters-of';
import type { CompiledRule } from '../../packs/pack';
import type { LeafTest } from '../../schema-types';
import { leafUnit } from '../../units/leaf-units';
import type { Site } from '../site';

type LeafElement = Exclude<keyof LeafTest, 'takenOn' | 'part'>;

/**
 * The element of the leaf test that a rule needs, percent of dry matter, ppm of boron and metals.
 * @returns does not apply where no leaf test gives it
 */
export function readLeafTest({ blockYear, crop }: Site, compiled: CompiledRule): Answer {
	const { leaf: element } = sharedParameters<{ leaf: LeafElement }>(compiled, crop.id);
	const { leaf } = blockYear;
	const value = element && leaf?.[element];
	if (value === undefined) {
		const remedy = `Type in ${element ? `leaf ${element}` : 'the value'} of a leaf test of this crop, taken as the lab says for it.`;
		return notApplicable('leaf test', `no leaf test gives ${element ?? 'it'}`, remedy, `leaf ${element ?? 'test'}`);
	}
	return figure({ label: `leaf ${element}`, value, unit: `${leafUnit(element!)} in leaf`, basis: 'measured' });
}
