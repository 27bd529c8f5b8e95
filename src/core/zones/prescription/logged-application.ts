import type { Application, AsApplied, Prescription } from '../../schema-types';

/**
 * What a monitor's log says of its pass: the mean rate by acres over the parts that have points, on the share of the ground that was passed over.
 * @returns undefined where nothing was applied
 */
export function loggedApplication(
	{ appliedOn, zones, share }: AsApplied,
	{ parts, product, unit }: Prescription
): Omit<Application, 'recordedAt'> | undefined {
	const logged = zones.flatMap(({ points, applied }, at) => {
		const acres = parts[at]?.areaAcres ?? 0;
		return points > 0 && acres > 0 ? [{ applied, acres }] : [];
	});
	const acres = logged.reduce((sum, part) => sum + part.acres, 0);
	const rate = logged.reduce((sum, part) => sum + part.applied * part.acres, 0) / acres;
	const fieldAcres = parts.reduce((sum, { areaAcres }) => sum + areaAcres, 0);
	if (!(rate > 0) || share <= 0) return undefined;
	return {
		applied: { appliedOn, product: product.id, rate, unit, acres: share * fieldAcres, ended: true },
		fieldAcres,
		byMonitor: true
	};
}
