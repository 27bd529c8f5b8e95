// Whatever an adviser plans, the rules answer in whole sentences, and what their buttons leave is a plan again.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figure } from '../../figure/figure';
import { validator } from '../../check/validator';
import type { CropId, Pass } from '../../schema-types';
import { library } from '../../testing.test-help';
import { knownWeather } from '../weather/known-weather';
import { shiftDate } from '../weather/season-weather';
import { planContext } from '../plan/plan-context.test-help';
import { productOf } from '../plan/plan-context';
import { soundRemedies } from './sound-remedies';
import { checkSeason } from './check-season';

const asPlan = validator<{ passes: Pass[] }>('plan');
const CROPS: CropId[] = [
	'corn-grain',
	'soybean',
	'winter-wheat',
	'spring-wheat',
	'canola',
	'alfalfa',
	'blackberry',
	'almond'
];

const anyPass = fc
	.record({
		product: fc.constantFrom(...library.products),
		placementAt: fc.nat(),
		day: fc.integer({ min: -240, max: 150 }),
		rate: fc.double({ min: 1, max: 400, noNaN: true }),
		depthIn: fc.option(fc.double({ min: 0, max: 12, noNaN: true }), { nil: undefined }),
		offsetIn: fc.option(fc.double({ min: 0, max: 20, noNaN: true }), { nil: undefined }),
		openerWidthIn: fc.option(fc.double({ min: 0.5, max: 4, noNaN: true }), { nil: undefined }),
		ground: fc.option(fc.constantFrom<NonNullable<Pass['ground']>>('moist', 'dry and cloddy', 'too wet'), {
			nil: undefined
		}),
		additive: fc.option(
			fc.constantFrom<NonNullable<Pass['additive']>>('urease inhibitor', 'nitrification inhibitor', 'both inhibitors'),
			{ nil: undefined }
		)
	})
	.map(({ product, placementAt, day, rate, ...rest }, at = 0): Pass => {
		const known = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== undefined));
		return {
			id: `${product.id}-${day}-${at}`,
			date: shiftDate('2027-05-01', day),
			label: 'A pass',
			product: product.id,
			rate: product.lime ? rate / 100 : rate,
			unit: product.lime ? 'short ton/ac' : 'lb/ac',
			placement: product.placements[placementAt % product.placements.length]!,
			reason: '',
			...known
		};
	});

const anyContext = fc.record({
	cropId: fc.constantFrom(...CROPS),
	sandy: fc.boolean(),
	cec: fc.option(fc.double({ min: 2, max: 35, noNaN: true }), { nil: undefined }),
	limit: fc.double({ min: 0, max: 250, noNaN: true }),
	drainage: fc.constantFrom('well', 'moderate', 'somewhat poor', 'poor', undefined),
	slopePercent: fc.option(fc.double({ min: 0, max: 20, noNaN: true }), { nil: undefined }),
	rowSpacingIn: fc.option(fc.constantFrom(7.5, 15, 20, 30, 36), { nil: undefined }),
	soilPh: fc.option(fc.double({ min: 4, max: 8.5, noNaN: true }), { nil: undefined }),
	outlookDay: fc.integer({ min: -240, max: 150 }),
	rain: fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 10, maxLength: 15 })
});

describe('any plan on any ground', () => {
	const station = library.stations[0]!;
	const contextOf = ({
		outlookDay,
		rain,
		limit,
		...facts
	}: typeof anyContext extends fc.Arbitrary<infer T> ? T : never) =>
		planContext({
			...facts,
			holdingLimit: figure({ label: 'holding limit', value: limit, unit: 'lb/ac', basis: 'practice' }),
			holdingRoom: figure({ label: 'room', value: limit * 0.6, unit: 'lb/ac', basis: 'practice' }),
			weather: knownWeather(station, [], { from: shiftDate('2027-05-01', outlookDay), rainMm: rain }, '2026-11-23'),
			setbacks: [{ from: 'the well', feet: 100 }],
			houseRules: { noGo: [{ from: '12-15', to: '03-01', what: 'phosphate', reason: 'Law.' }] }
		});

	it('is answered in sentences with numbers that are known (property)', () => {
		fc.assert(
			fc.property(fc.array(anyPass, { minLength: 1, maxLength: 6 }), anyContext, (passes, facts) => {
				for (const { text, rule, severity, pass } of checkSeason(passes, contextOf(facts))) {
					expect(text, rule).not.toMatch(/NaN|undefined|Infinity|null|\[object/);
					expect(text.length, rule).toBeGreaterThan(15);
					expect(['stop', 'mind', 'note']).toContain(severity);
					if (pass !== undefined)
						expect(
							passes.some(({ id }) => id === pass),
							rule
						).toBe(true);
				}
			}),
			{ numRuns: 150 }
		);
	});
	it('has remedies that are plans of their own: passes the schema takes, with placements the product allows (property)', () => {
		fc.assert(
			fc.property(fc.array(anyPass, { minLength: 1, maxLength: 5 }), anyContext, (passes, facts) => {
				const context = contextOf(facts);
				for (const { rule, remedies } of checkSeason(passes, context)) {
					for (const { label, passes: left } of remedies) {
						expect(label, rule).not.toMatch(/NaN|undefined|Infinity/);
						asPlan({ passes: left });
						for (const pass of left) {
							if (rule === 'sulfur-form' || rule === 'boron-by-seed') continue;
							expect(productOf(pass, context.products).placements, `${rule}: ${label}`).toContain(pass.placement);
						}
					}
				}
			}),
			{ numRuns: 150 }
		);
	});
	it('offers no remedy that raises another stop, leaves the season or lies in the past (property)', () => {
		let kept = 0;
		fc.assert(
			fc.property(fc.array(anyPass, { minLength: 1, maxLength: 5 }), anyContext, (passes, facts) => {
				const context = contextOf(facts);
				const stops = (some: readonly Pass[]) =>
					checkSeason(some, context)
						.filter(({ severity }) => severity === 'stop')
						.map(({ rule }) => rule);
				const before = stops(passes);
				for (const { pass, remedies } of soundRemedies(checkSeason(passes, context), passes, context)) {
					for (const { passes: instead } of remedies) {
						kept++;
						const after = stops([...passes.filter(({ id }) => id !== pass), ...instead]);
						for (const rule of new Set(after)) {
							const count = (all: readonly string[]) => all.filter((one) => one === rule).length;
							expect(count(after), rule).toBeLessThanOrEqual(count(before));
						}
					}
				}
			}),
			{ numRuns: 120 }
		);
		expect(kept).toBeGreaterThan(20);
	});
	it('has a split for too much nitrogen that clears it, in a few parts by the end of uptake, or none (property)', () => {
		fc.assert(
			fc.property(fc.array(anyPass, { minLength: 1, maxLength: 5 }), anyContext, (passes, facts) => {
				const context = contextOf(facts);
				const about = (some: readonly Pass[]) =>
					checkSeason(some, context).filter(({ rule }) => rule === 'holding-limit');
				for (const { pass, remedies } of about(passes)) {
					for (const { passes: parts } of remedies) {
						expect(parts.length).toBeLessThanOrEqual(6);
						const now = [...passes.filter(({ id }) => id !== pass), ...parts];
						const again = about(now).filter((one) => parts.some(({ id }) => id === one.pass));
						expect(again.map(({ text }) => text)).toEqual([]);
						// What is too much in autumn is never put on another day of autumn.
						for (const part of parts.slice(1)) expect(Number(part.date.slice(5, 7))).toBeLessThan(9);
					}
				}
			}),
			{ numRuns: 120 }
		);
	});
	it('says the same of the same plan, whatever the order of its passes (property)', () => {
		fc.assert(
			fc.property(fc.array(anyPass, { minLength: 2, maxLength: 5 }), anyContext, (passes, facts) => {
				const context = contextOf(facts);
				const told = (some: readonly Pass[]) =>
					checkSeason(some, context)
						.map(({ rule, severity }) => `${rule} ${severity}`)
						.sort();
				expect(told([...passes].reverse())).toEqual(told(passes));
			}),
			{ numRuns: 80 }
		);
	});
});
