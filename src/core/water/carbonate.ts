import { figure, notApplicable, type Answer, type Figure } from '../figure/figure';

/** Dissociation of carbonic acid at 25 C, textbook values. */
const PK1 = 6.35;
const PK2 = 10.33;

/** Alkalinity of a mole of dissolved carbon at a pH: share of bicarbonate + 2 x share of carbonate. */
export function alkalinityPerCarbon(ph: number): number {
	const h = 10 ** -ph;
	const [k1, k2] = [10 ** -PK1, 10 ** -PK2];
	const all = h * h + k1 * h + k1 * k2;
	return (k1 * h + 2 * k1 * k2) / all;
}

/**
 * Acid that brings water to a pH, meq/L, as in a pipe, where no carbon dioxide leaves: C = Alk / f(pH), acid = Alk - C x f(target),
 * f = share of bicarbonate + 2 x share of carbonate with pK 6.35 and 10.33. Protons and hydroxyl of the water itself are left out: below
 * 0.01 meq/L between pH 5 and 9.
 * @param alkalinity bicarbonate and carbonate, meq/L
 * @returns does not apply where the water is at the target already
 */
export function acidToPh(alkalinity: Figure, ph: Figure, target: Figure): Answer {
	const label = `acid to pH ${target.value}`;
	if (target.value >= ph.value) {
		return notApplicable(label, `the water is at pH ${ph.value} already`, 'Choose a lower pH, or leave the acid out.');
	}
	const carbon = alkalinity.value / alkalinityPerCarbon(ph.value);
	return figure({
		label,
		value: alkalinity.value - carbon * alkalinityPerCarbon(target.value),
		unit: 'meq/L',
		formula: 'Alk - C x f(target), C = Alk / f(pH)',
		inputs: [alkalinity, ph, target],
		basis: 'practice',
		cautions: ['A bench titration of the water goes before this sum.']
	});
}

/**
 * Acid by a bench titration, between its points in a straight line.
 * @param points acid put in, meq/L, and the pH that came of it; in any order
 * @returns does not apply where the target lies outside what was measured
 */
export function acidByTitration(points: readonly { meqPerL: number; ph: number }[], target: Figure): Answer {
	const label = `acid to pH ${target.value} by titration`;
	const sorted = [...points].sort((a, b) => a.meqPerL - b.meqPerL);
	for (let at = 1; at < sorted.length; at++) {
		const [from, to] = [sorted[at - 1]!, sorted[at]!];
		if (from.ph < target.value || to.ph > target.value || from.ph === to.ph) continue;
		const share = (from.ph - target.value) / (from.ph - to.ph);
		const point = (name: string, { meqPerL, ph }: { meqPerL: number; ph: number }) =>
			figure({ label: `${name} the target, at pH ${ph}`, value: meqPerL, unit: 'meq/L', basis: 'measured' });
		return figure({
			label,
			value: from.meqPerL + share * (to.meqPerL - from.meqPerL),
			unit: 'meq/L',
			formula: 'in a straight line between the two points beside the target',
			inputs: [point('above', from), point('below', to), target],
			basis: 'measured'
		});
	}
	const [low, high] = [Math.min(...points.map(({ ph }) => ph)), Math.max(...points.map(({ ph }) => ph))];
	return notApplicable(
		label,
		`the titration runs from pH ${high} to ${low}`,
		`Titrate on until it passes pH ${target.value}.`
	);
}
