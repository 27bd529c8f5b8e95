// Spacing and bases against geometry and the common practice of the trade; the figures are those of handbook tables.
import { expect, it } from 'vitest';
import type { Answer } from '../../figure/figure';
import { figure } from '../../figure/figure';
import type { Block } from '../../schema-types';
import { inSystem } from '../../units/rate-units';
import { plantAge } from './block-age';
import { plantsPerAcre, rowFeetPerAcre, treatedShare } from './plant-density';
import { basesOf } from './rate-bases';

const value = (answer: Answer) => (answer.applies ? answer.value : NaN);
const rate = (pounds: number) => figure({ label: 'rate', value: pounds, unit: 'lb/ac', basis: 'adviser' });
const feet = (rowSpacing: number, plantSpacing?: number): Block => ({ plantedYear: 2020, rowSpacing, plantSpacing });
const metres = (rowSpacing: number, plantSpacing: number): Block => ({
	...feet(rowSpacing, plantSpacing),
	lengthUnit: 'm'
});
const palms: Block = { plantedYear: 2010, layout: 'triangle', plantSpacing: 9, lengthUnit: 'm' };

// Common practice: tables of trees to the acre and the hectare.
it.each([
	['20 x 15 ft', feet(20, 15), 'us', 145.2],
	['7 x 7 m', metres(7, 7), 'metric', 204.1],
	['7 x 7 m', metres(7, 7), 'us', 82.6],
	['7 x 8 m', metres(8, 7), 'metric', 178.6],
	['palms at 9 m in a triangle', palms, 'metric', 142.6]
] as const)('plants: %s', (_name, block, system, expected) => {
	expect(value(inSystem(plantsPerAcre(block, undefined), system))).toBeCloseTo(expected, 1);
});

// Common practice: 43,560 ft2 in an acre.
it.each([
	[10, 4356],
	[12, 3630]
])('feet of row on an acre at %s ft', (spacing, expected) => {
	expect(value(rowFeetPerAcre(feet(spacing)))).toBeCloseTo(expected, 6);
});

// Common practice: 60 lb N/ac on rows 10 ft apart, as product.
it.each([
	['34-0-0', 34, 176.5, 4.05],
	['15.5-0-0', 15.5, 387.1, 8.89],
	['13-0-46', 13, 461.5, 10.6]
])('60 lb N/ac of %s by the acre and by 100 ft of row', (_name, percent, perAcre, per100) => {
	const product = rate(60 / (percent / 100));
	expect(product.value).toBeCloseTo(perAcre, 1);
	expect(value(basesOf(product, feet(10), undefined).per100Row)).toBeCloseTo(per100, 2);
});

// Common practice: a 4 ft band on 10 ft rows covers 40 % of the ground.
it('a band of 4 ft on rows of 10 ft: 25 lb N on each treated acre is 10 on each planted one', () => {
	const block = { ...feet(10), treatedWidth: 4 };
	expect(value(treatedShare(block))).toBeCloseTo(0.4, 9);
	const { perTreated } = basesOf(rate(10), block, undefined);
	expect(value(perTreated)).toBeCloseTo(25, 9);
	expect(value(basesOf(rate(10 / 0.1), block, undefined).per100Row)).toBeCloseTo(2.3, 2);
});

// Common practice: "25-40 lb N/ac, 2.5-4 lb of 10-10-10 per 100 ft" agrees on rows of about 4.4 ft, and on no wider ones.
it.each([
	[25, 2.5],
	[40, 4]
])('a handbook’s %s lb N/ac is %s lb of 10-10-10 in 100 ft on rows of 4.36 ft', (pounds, per100) => {
	const product = rate(pounds / 0.1);
	expect(value(basesOf(product, feet(4.356), undefined).per100Row)).toBeCloseTo(per100, 9);
	expect(value(basesOf(product, feet(10), undefined).per100Row)).toBeGreaterThan(2 * per100);
});

it('counted plants overrule the spacing, and need the area', () => {
	const block = { ...feet(20, 15), plantsCounted: 1400 };
	expect(value(plantsPerAcre(block, 10))).toBe(140);
	expect(value(plantsPerAcre(block, undefined))).toBeCloseTo(145.2, 9);
});

it('says what is missing, and that a triangle has no rows', () => {
	const reason = (answer: Answer) => (answer.applies ? '' : answer.reason);
	const none = { plantedYear: 2020 };
	expect(reason(plantsPerAcre(none, 5))).toBe('the plant spacing is not known');
	expect(reason(plantsPerAcre({ ...none, plantSpacing: 3 }, 5))).toBe('the row spacing is not known');
	expect(reason(rowFeetPerAcre(palms))).toBe('plants in a triangle stand in no rows');
	expect(reason(treatedShare({ ...feet(10), treatedWidth: 12 }))).toContain('wider than the rows are apart');
	expect(reason(basesOf(rate(60), none, undefined).perTreated)).toBe('the width of the treated strip is not known');
});

it('counts the planting year as the first, and says nothing before it', () => {
	expect(value(plantAge({ plantedYear: 2024 }, 2024))).toBe(1);
	expect(value(plantAge({ plantedYear: 2024 }, 2027))).toBe(4);
	expect(plantAge({ plantedYear: 2024 }, 2023)).toMatchObject({ applies: false });
});

// 1 lb = 0.45359237 kg, 1 ft = 0.3048 m, both exact by definition.
it('carries each basis over to the metric system', () => {
	const { perPlant, per100Row } = basesOf(rate(60), feet(20, 15), undefined);
	expect(value(inSystem(perPlant, 'metric'))).toBeCloseTo((60 / 145.2) * 0.45359237, 9);
	expect(value(inSystem(per100Row, 'metric'))).toBeCloseTo(((60 / 21.78) * 0.45359237) / 0.3048, 9);
});
