import { figure, type Figure } from '../../figure/figure';
import { measured } from '../../figure/measured';
import type { ManureHandling, ManureKind } from '../../schema-types';

/** What a lab found in a manure, lb per ton or per 1000 gal as its kind is measured. */
export interface ManureAnalysis {
	totalN: number;
	/** Undefined where it was not measured. */
	ammoniumN: number | undefined;
	p2o5: number;
	k2o: number;
	s?: number | undefined;
	mg?: number | undefined;
}

/**
 * Nitrogen that a crop gets in the first year from a unit of manure: ammonium x what stays of it + organic x the share that is
 * mineralised; where ammonium was not measured, a share of all.
 * @returns lb per unit of the kind
 */
export function firstYearNitrogen(
	{ totalN, ammoniumN }: ManureAnalysis,
	kind: ManureKind,
	{ name, retention, basis, citation }: ManureHandling
): Figure {
	const unit = `lb/${kind.per}`;
	const label = `nitrogen of ${kind.name.toLowerCase()} in the first year`;
	const total = measured('total N', totalN, unit);
	if (ammoniumN === undefined) {
		return figure({
			label,
			value: totalN * kind.firstYearShare,
			unit,
			formula: `total N x ${kind.firstYearShare}`,
			inputs: [total],
			basis: kind.basis,
			citation: kind.citation,
			cautions: ['Ammonium was not measured: a share of all nitrogen is taken.']
		});
	}
	const organic = totalN - ammoniumN;
	return figure({
		label,
		value: ammoniumN * retention + organic * kind.mineralised[0]!,
		unit,
		formula: `ammonium x ${retention} (${name}) + organic x ${kind.mineralised[0]!}`,
		inputs: [total, measured('ammonium N', ammoniumN, unit)],
		basis,
		citation: [citation, kind.citation].filter(Boolean).join('; ')
	});
}

/** Organic nitrogen of a unit, lb: all but the ammonium; where that was not measured, all. */
export function organicNitrogen({ totalN, ammoniumN }: ManureAnalysis): number {
	return totalN - (ammoniumN ?? 0);
}
