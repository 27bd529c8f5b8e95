import type { Prescription, PrescriptionPart } from '../../schema-types';
import { formatQuantity } from '../../units/display';

/** Files round corners; less than this share of an area is the same ground. */
const SAME_SHARE = 0.001;

/** In words what a file says otherwise than the prescription it was written from; none where it says the same. */
export function prescriptionDifferences(
	{ parts, unit, outside }: Pick<Prescription, 'parts' | 'unit' | 'outside'>,
	read: { parts: readonly PrescriptionPart[]; outside: number | undefined }
): string[] {
	const known = new Map(read.parts.map((part) => [part.zone, part]));
	const own = new Set(parts.map(({ zone }) => zone));
	return [
		...parts.flatMap(({ zone, rate, areaAcres }) => {
			const found = known.get(zone);
			if (!found) return [`${zone} is missing.`];
			return [
				...(Math.abs(found.rate - rate) > 1e-6
					? [`${zone}: ${formatQuantity(found.rate, unit)} in the file, ${formatQuantity(rate, unit)} prescribed.`]
					: []),
				...(Math.abs(found.areaAcres - areaAcres) > Math.max(0.02, SAME_SHARE * areaAcres)
					? [
							`${zone}: ${formatQuantity(found.areaAcres, 'ac')} in the file, ${formatQuantity(areaAcres, 'ac')} prescribed.`
						]
					: [])
			];
		}),
		...read.parts.filter(({ zone }) => !own.has(zone)).map(({ zone }) => `${zone} is not in the prescription.`),
		...(read.outside !== undefined && Math.abs(read.outside - outside) > 1e-6
			? [`Outside: ${formatQuantity(read.outside, unit)} in the file, ${formatQuantity(outside, unit)} prescribed.`]
			: [])
	];
}
