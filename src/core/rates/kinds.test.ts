import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figure, type Figure } from '../figure/figure';
import { withParameters } from '../packs/compile-rule';
import type { CompiledRule } from '../packs/pack';
import type { InputName, RuleFigures, RuleNumbers } from '../packs/rule-kind';
import type { CropId } from '../schema-types';
import { library } from '../testing.test-help';
import { ruleKinds } from './kinds';

/** Soils and goals somewhat wider than any that exist. */
const anyNumbers: fc.Arbitrary<RuleNumbers> = fc.record({
	soilTest: fc.double({ min: 0, max: 400, noNaN: true }),
	cec: fc.double({ min: 1, max: 60, noNaN: true }),
	organicMatter: fc.double({ min: 0, max: 40, noNaN: true }),
	yieldGoal: fc.double({ min: 1, max: 3000, noNaN: true }),
	soilPh: fc.double({ min: 3, max: 10, noNaN: true }),
	bufferPh: fc.double({ min: 4, max: 7.6, noNaN: true }),
	targetPh: fc.double({ min: 4, max: 8, noNaN: true }),
	limeDepthIn: fc.double({ min: 1, max: 24, noNaN: true }),
	effectiveFraction: fc.double({ min: 0.05, max: 1.2, noNaN: true }),
	organicCarbon: fc.double({ min: 0, max: 30, noNaN: true }),
	clay: fc.double({ min: 0, max: 100, noNaN: true }),
	bulkDensity: fc.double({ min: 0.1, max: 2.2, noNaN: true }),
	layerThicknessCm: fc.double({ min: 1, max: 60, noNaN: true }),
	sampledDepthIn: fc.double({ min: 1, max: 24, noNaN: true }),
	residueShare: fc.double({ min: 0, max: 1, noNaN: true }),
	nitrogenRate: fc.double({ min: 0, max: 400, noNaN: true }),
	credits: fc.double({ min: 0, max: 300, noNaN: true }),
	grainPrice: fc.double({ min: 0.05, max: 20, noNaN: true }),
	nitrogenPrice: fc.double({ min: 0, max: 3, noNaN: true }),
	rootZoneNitratePpm: fc.double({ min: 0, max: 60, noNaN: true }),
	timingFactor: fc.double({ min: 0.9, max: 1.1, noNaN: true }),
	placedNitrogen: fc.double({ min: 1, max: 300, noNaN: true }),
	sidedressNitratePpm: fc.double({ min: 0, max: 100, noNaN: true }),
	criticalNitratePpm: fc.constantFrom(21, 25),
	tillersPerFt2: fc.double({ min: 0, max: 200, noNaN: true }),
	leastDressing: fc.constantFrom(0, 30),
	yieldWithout: fc.double({ min: 0, max: 300, noNaN: true }),
	yieldRich: fc.double({ min: 0, max: 300, noNaN: true }),
	nitrogenEfficiency: fc.double({ min: 0.1, max: 1, noNaN: true }),
	plantAge: fc.integer({ min: 1, max: 40 }),
	plantsPerAcre: fc.double({ min: 20, max: 4000, noNaN: true }),
	leafTest: fc.double({ min: 0.05, max: 5, noNaN: true })
});

function asFigures(numbers: RuleNumbers): RuleFigures {
	const entries = Object.entries(numbers).map(([label, value]) => [
		label,
		figure({ label, value, unit: 'bu/ac', basis: 'measured' })
	]);
	return Object.fromEntries(entries) as RuleFigures;
}

/** Forms of kinds that no shipped pack uses, so that the properties hold for them too. */
const unshipped: CompiledRule[] = (
	[
		[
			'lime-table',
			{
				input: 'cec',
				points: [
					[5, 1],
					[25, 5]
				],
				target: { ph: 6.5, scale: 'water' },
				referenceDepthIn: 8,
				referenceEffectiveFraction: 0.65
			}
		],
		[
			'class-table',
			{
				classes: [
					{ name: 'low', below: 20, rate: 40, perYield: 0.2 },
					{ name: 'high', rate: 0 }
				]
			}
		],
		['removal', { perYield: 0.35, residuePerYield: 0.16, noneAbovePpm: 60 }],
		[
			'linear-sufficiency',
			{ constant: 50, perPpm: 2.5, perYield: 0.2, perYieldAndPpm: 0.01, noneAbovePpm: 20, leastRate: 15 }
		],
		...(['most-yield', 'most-profit', 'least-left'] as const).flatMap((objective) =>
			[
				{ model: 'quadratic-plateau', coefficients: { a: 90, b: 1.2, c: -0.004 } },
				{ model: 'quadratic', coefficients: { a: 90, b: 1.2, c: -0.0032 } },
				{ model: 'linear-plateau', coefficients: { a: 90, b: 0.6, join: 150 } },
				{ model: 'mitscherlich', coefficients: { a: 200, b: 110, c: 0.015 } }
			].map((curve): [string, object] => ['economic-response', { curve, lowestRate: 0, highestRate: 240, objective }])
		),
		[
			'acidity-ratio',
			{
				bufferReferencePh: 6.6,
				phPerAcidity: 0.25,
				neutralPh: { ph: 6.6, scale: 'water' },
				referenceDepthIn: 6,
				referenceEffectiveFraction: 0.8,
				trigger: { ph: 5.8, scale: 'water' }
			}
		]
	] satisfies [string, object][]
).map(([name, parameters]) =>
	withParameters(
		{
			...library.packs.rules[0]!,
			method: `unshipped/${name}`,
			rule: { ...library.packs.rules[0]!.rule, crops: undefined, title: name, unit: 'lb/ac' },
			kind: ruleKinds.find(({ kind }) => kind === name)!
		},
		() => parameters
	)
);

/** Every rule of every shipped pack with each of its crops, and those forms. */
const cases: [string, CompiledRule, CropId | undefined][] = [...library.packs.rules, ...unshipped].flatMap(
	(compiled) => {
		const crops = compiled.rule.crops ? (Object.keys(compiled.rule.crops) as CropId[]) : [undefined];
		return crops.map((crop): [string, CompiledRule, CropId | undefined] => [
			`${compiled.method} ${crop ?? 'any crop'}`,
			compiled,
			crop
		]);
	}
);

describe('every rule of every shipped pack', () => {
	it.each(cases)('%s: the worksheet ends in the computed number', (_name, compiled, crop) => {
		const rule = compiled.forCrop(crop)!;
		fc.assert(
			fc.property(anyNumbers, anyNumbers, (numbers, before) => {
				const answer = rule.explain(asFigures(numbers));
				rule.evaluate(before); // the steps are one copy: what stood in them must not show
				const value = rule.evaluate(numbers);
				if (answer.applies) expect(answer.value).toBe(value);
				else expect(value).toBeNaN();
			})
		);
	});

	it.each(cases)('%s: never below zero, and NaN wherever a needed input is missing', (_name, compiled, crop) => {
		const rule = compiled.forCrop(crop)!;
		fc.assert(
			fc.property(anyNumbers, (numbers) => {
				const value = rule.evaluate(numbers);
				expect(value < 0).toBe(false);
				for (const name of rule.needs) {
					const missing = rule.evaluate({ ...numbers, [name]: NaN });
					expect(missing, name).toBeNaN();
				}
			})
		);
	});
});

it('lets each kind be asked for in one way only', () => {
	const names = ruleKinds.map(({ kind }) => kind);
	expect(new Set(names).size).toBe(names.length);
});

it('opens every worksheet down to inputs that need no formula', () => {
	const leaves = (root: Figure): Figure[] => (root.inputs.length === 0 ? [root] : root.inputs.flatMap(leaves));
	const numbers = {
		soilTest: 10,
		cec: 14,
		organicMatter: 3,
		yieldGoal: 150,
		soilPh: 5.5,
		bufferPh: 6.4,
		targetPh: 6.5
	};
	const layer = { organicCarbon: 1.5, clay: 20, bulkDensity: 1.3, layerThicknessCm: 10, sampledDepthIn: 8 };
	const rest = { limeDepthIn: 8, effectiveFraction: 0.65, credits: 30, residueShare: 0.5, nitrogenRate: 120 };
	const nitrogen = {
		grainPrice: 4.5,
		nitrogenPrice: 0.6,
		rootZoneNitratePpm: 5,
		timingFactor: 1,
		placedNitrogen: 100,
		sidedressNitratePpm: 14,
		criticalNitratePpm: 25,
		tillersPerFt2: 34,
		leastDressing: 0,
		yieldWithout: 45,
		yieldRich: 70,
		nitrogenEfficiency: 0.6
	};
	const block = { plantAge: 2, plantsPerAcre: 140, leafTest: 2.1 };
	const figures = asFigures({ ...numbers, ...layer, ...rest, ...nitrogen, ...block });
	for (const [, compiled, crop] of cases) {
		const answer = compiled.forCrop(crop)!.explain(figures);
		if (answer.applies) for (const leaf of leaves(answer)) expect(leaf.formula, leaf.label).toBe('');
	}
});

it('knows which inputs each rule needs', () => {
	const needs = (method: string, crop?: CropId): readonly InputName[] => {
		const compiled = library.packs.rules.find((rule) => rule.method === method)!;
		return compiled.kind.needs(compiled.parametersFor(crop));
	};
	expect(needs('tri-state-1995/phosphorus', 'corn-grain')).not.toContain('cec');
	expect(needs('tri-state-1995/potassium', 'corn-grain')).toContain('cec');
});
