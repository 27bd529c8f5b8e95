// Whatever is chosen on whatever ground and day: a proposal keeps to the rules, and says what it could not place.
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { figure } from '../../figure/figure';
import { roomLeft } from '../../reading/holding-room';
import type { Block, CropId, Nutrient } from '../../schema-types';
import { library } from '../../testing.test-help';
import { checkSeason } from '../checks/check-season';
import { carried } from '../plan/pass/carried';
import type { PlanContext } from '../plan/plan-context';
import { planContext } from '../plan/plan-context.test-help';
import { scheduleFor } from '../schedule/schedule-for';
import { usualPlantingDate } from '../schedule/usual-planting';
import { shiftDate } from '../weather/season-weather';
import { proposeYear } from './propose-year';

const FIELDS = 500;
const CROPS = [...new Set(library.schedules.map(({ crop }) => crop))];
const pounds = (most: number) => fc.option(fc.double({ min: 0, max: most, noNaN: true }), { nil: undefined });
const BLOCK: Block = { plantedYear: 2015, rowSpacing: 20, plantSpacing: 16, water: 'drip' };

const field = fc.record({
	crop: fc.constantFrom<CropId>(...CROPS),
	chosen: fc.record({
		N: pounds(260),
		P2O5: pounds(150),
		K2O: pounds(300),
		S: pounds(40),
		Mg: pounds(60),
		B: pounds(3),
		Zn: pounds(10),
		lime: pounds(9)
	}),
	limit: fc.double({ min: 15, max: 300, noNaN: true }),
	mineral: fc.option(fc.double({ min: 0, max: 150, noNaN: true }), { nil: undefined }),
	/** Days from the usual planting. */
	today: fc.integer({ min: -320, max: 200 }),
	cec: fc.double({ min: 2, max: 35, noNaN: true }),
	sandy: fc.boolean(),
	drainage: fc.constantFrom('well', 'moderate', 'somewhat poor', 'poor', undefined),
	slopePercent: fc.option(fc.double({ min: 0, max: 20, noNaN: true }), { nil: undefined }),
	soilPh: fc.double({ min: 4.3, max: 8.4, noNaN: true }),
	rowSpacingIn: fc.constantFrom(7.5, 15, 30, undefined),
	starter: pounds(60),
	surface: fc.boolean(),
	rain: fc.array(fc.double({ min: 0, max: 50, noNaN: true }), { minLength: 10, maxLength: 10 }),
	noGo: fc.constantFrom('nitrogen', 'phosphate', 'everything', undefined)
});
type Field = typeof field extends fc.Arbitrary<infer T> ? T : never;

const figureOf = (label: string, value: number) => figure({ label, value, unit: 'lb/ac', basis: 'practice' });

function contextOf({
	crop: cropId,
	chosen,
	limit,
	mineral,
	today,
	starter,
	surface,
	noGo,
	...facts
}: Field): PlanContext {
	const holdingLimit = figureOf('holding limit', limit);
	const crop = library.crops.find(({ id }) => id === cropId)!;
	const block = crop.perennial ? BLOCK : undefined;
	const schedule = scheduleFor(library.schedules, cropId, block, block && 12, undefined)!;
	const plantingDate = usualPlantingDate(schedule, 2027);
	const { rain, ...ground } = facts;
	const day = shiftDate(plantingDate, today);
	return planContext({
		cropId,
		schedule,
		chosen: Object.fromEntries(Object.entries(chosen).filter(([, rate]) => rate !== undefined)),
		holdingLimit,
		holdingRoom: mineral === undefined ? holdingLimit : roomLeft(holdingLimit, figureOf('mineral N', mineral)),
		plantingDate,
		today: day,
		block,
		plantAge: block && 12,
		starter: starter === undefined || crop.perennial ? undefined : { step: library.starter, p2o5: starter },
		liming: { product: 'aglime', placement: surface || crop.perennial ? 'surface' : 'incorporated' },
		houseRules: { noGo: noGo ? [{ from: '12-15', to: '03-15', what: noGo, reason: 'Law.' }] : [] },
		weather: {
			days: new Map(
				rain.map((rainMm, at) => [shiftDate(day, at), { date: shiftDate(day, at), minC: 4, maxC: 15, rainMm }])
			),
			outlookFrom: day,
			madeUp: false
		},
		...ground
	});
}

it(`a proposal for any of ${FIELDS} fields raises no stop, uses no past day, and leaves nothing unplaced unsaid (property)`, () => {
	fc.assert(
		fc.property(field, (facts) => {
			const context = contextOf(facts);
			const { passes, notes } = proposeYear(context);
			const stops = checkSeason(passes, context).filter(({ severity }) => severity === 'stop');
			expect(stops.map(({ rule, text }) => `${rule}: ${text}`)).toEqual([]);
			for (const { date, label } of passes) expect(date >= context.today, `${label} on ${date}`).toBe(true);
			const said = notes.join(' ');
			for (const nutrient of ['N', 'P2O5', 'K2O', 'S', 'Mg'] as const satisfies readonly Nutrient[]) {
				const short = (context.chosen[nutrient] ?? 0) - carried(passes, nutrient, context);
				if (short > 2)
					expect(said, `${short} lb ${nutrient} unplaced`).toMatch(new RegExp(`\\b${nutrient}\\b|nitrogen`));
			}
			if ((context.chosen.lime ?? 0) > 0.1 && !passes.some(({ product }) => product === 'aglime'))
				expect(said).toMatch(/[Ll]ime/);
		}),
		{ numRuns: FIELDS }
	);
});
