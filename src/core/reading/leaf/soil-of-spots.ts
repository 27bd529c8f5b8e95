import type { Analyte, LeafElement, LeafFinding, Sample, SoilOfSpots, SpotDifference } from '../../schema-types';
import { TEST_SCATTER } from '../soil/test-scatter';

/** The soil test that tells of an element in leaves. */
const TEST_OF: Record<LeafElement, Analyte> = {
	N: 'NO3-N',
	P: 'P',
	K: 'K',
	Ca: 'Ca',
	Mg: 'Mg',
	S: 'SO4-S',
	B: 'B',
	Zn: 'Zn',
	Mn: 'Mn',
	Cu: 'Cu',
	Fe: 'Fe'
};

/** What the uppermost layers of two samples were both measured for, by one method and in one unit. */
export function soilOfSpots(bad: Sample, good: Sample): SoilOfSpots[] {
	const [badTop, goodTop] = [uppermost(bad), uppermost(good)];
	return badTop.results.flatMap(({ analyte, method, unit, value }) => {
		const other = goodTop.results.find((one) => one.analyte === analyte && one.method === method && one.unit === unit);
		return other ? [{ analyte, unit, bad: value, good: other.value }] : [];
	});
}

function uppermost({ layers }: Sample): Sample['layers'][number] {
	return layers.reduce((top, layer) => (layer.top < top.top ? layer : top));
}

/** Whether the soil of two spots agrees with what their leaves differ most in; undefined where it was not measured in both. */
export function soilAgreement(
	{ element, bad, good }: SpotDifference,
	soil: readonly SoilOfSpots[]
): LeafFinding | undefined {
	const test = soil.find(({ analyte }) => analyte === TEST_OF[element]);
	if (!test) return undefined;
	const values = `${test.bad} ${test.unit} in the bad spot, ${test.good} ${test.unit} in the good one`;
	const apart = (test.good - test.bad) / Math.max(test.good, test.bad);
	if (Math.abs(apart) < TEST_SCATTER || apart > 0 !== good > bad) {
		return {
			code: 'soil-does-not-agree',
			element,
			severity: 'note',
			text: `The soil does not show it: ${element} is ${values}.`,
			remedy: 'Look for what keeps roots from it: packed or wet soil, pests, disease, salt, the pH.'
		};
	}
	return {
		code: 'soil-agrees',
		element,
		severity: 'note',
		text: `The soil agrees: ${element} is ${values}.`,
		remedy: 'Sample that part of the field as a zone of its own, and set its rate by that.'
	};
}
