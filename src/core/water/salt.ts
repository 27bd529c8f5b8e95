import { figure, notApplicable, type Answer, type Figure } from '../figure/figure';
import type { Crop, WaterLimits, WaterReport } from '../schema-types';

/** Saturation extract to soil water in the equation of Rhoades. */
const RHOADES = 5;

/**
 * Share of the water that is to pass the roots so that salt does not build up beyond what the crop takes:
 * ECw / (5 ECe - ECw) (Rhoades 1974).
 * @param ecw dS/m of the water @param ece dS/m of the soil that is to be held
 * @returns does not apply where no leaching holds it: water saltier than five times the soil
 */
export function leachingRequirement(ecw: Figure, ece: Figure): Answer {
	const label = 'leaching requirement';
	const share = ecw.value / (RHOADES * ece.value - ecw.value);
	if (!(share > 0 && share <= 1)) {
		return notApplicable(
			label,
			`water of ${ecw.value} dS/m cannot hold the soil at ${ece.value} dS/m however much of it goes through`,
			'Mix it with better water, or grow a crop that stands more salt.'
		);
	}
	return figure({
		label,
		value: share,
		unit: 'of the water',
		formula: `ECw / (${RHOADES} x ECe - ECw)`,
		inputs: [ecw, ece],
		basis: 'memory',
		citation: 'Rhoades 1974'
	});
}

/** Conductivity of the water, dS/m; does not apply where the report gives none. */
export function ecOf({ ec }: WaterReport): Answer {
	const label = 'salt of the water';
	if (ec === undefined) {
		return notApplicable(label, 'the report gives no conductivity', 'Ask the lab for EC, dS/m.', 'EC');
	}
	return figure({ label, value: ec, unit: 'dS/m', basis: 'measured' });
}

/** Threshold and slope of a crop; undefined where none are known. */
export function toleranceOf({ id }: Pick<Crop, 'id'>, { saltTolerance }: Pick<WaterLimits, 'saltTolerance'>) {
	return saltTolerance.find(({ crops }) => crops.includes(id));
}

/** The salt of the soil up to which a crop loses nothing, dS/m. */
export function thresholdOf(crop: Pick<Crop, 'id' | 'name'>, limits: WaterLimits): Answer {
	const label = `salt that ${crop.name.toLowerCase()} stands`;
	const known = toleranceOf(crop, limits);
	if (known) {
		const { thresholdDsM, basis, citation } = known;
		return figure({ label, value: thresholdDsM, unit: 'dS/m', basis, citation });
	}
	const sensitive = limits.sensitive.find((one) => one.crop === crop.id);
	return notApplicable(
		label,
		sensitive ? 'no firm pair of threshold and slope is agreed on' : 'no threshold of this crop is in the list',
		sensitive?.says ?? 'Give the salt that the soil is to be held at, as ece.'
	);
}

/**
 * Yield in a salty soil, percent of that without salt: 100 - slope x (ECe - threshold), 0 to 100 (Maas and Hoffman 1977).
 * @param ece dS/m of the soil, saturation extract
 */
export function relativeYield(crop: Pick<Crop, 'id' | 'name'>, ece: Figure, limits: WaterLimits): Answer {
	const threshold = thresholdOf(crop, limits);
	const known = toleranceOf(crop, limits);
	const label = `yield of ${crop.name.toLowerCase()} in this soil`;
	if (!threshold.applies || !known) return { ...threshold, label } as Answer;
	const { slopePercent, basis, citation } = known;
	const over = Math.max(0, ece.value - threshold.value);
	return figure({
		label,
		value: Math.max(0, 100 - slopePercent * over),
		unit: '%',
		formula: '100 - slope x (ECe - threshold), no more than 100',
		inputs: [figure({ label: 'slope', value: slopePercent, unit: '% for each dS/m', basis, citation }), ece, threshold],
		basis,
		citation
	});
}
