import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planContext } from '$core/season/plan/plan-context.test-help';
import type { Pass } from '$core/schema-types';
import { library } from '$core/testing.test-help';
import { labelsThatFit, lanesOf } from './lanes';
import { boardYear, liveSeason, programmesBeside, withMoved, type BoardGround } from '$core/season/live/live-season';
import { axisOver } from '$core/season/live/season-axis';
import { dateAt, monthsOn, xOf } from './time-axis';

describe('the time axis', () => {
	const axis = axisOver(['2027-05-01', '2026-12-04', '2027-09-20']);
	it('begins with a month and leaves room at both ends', () => {
		expect(axis.from).toBe('2026-11-01');
		expect(dateAt(axis, 10_000, 800) > '2027-09-25').toBe(true);
		expect(monthsOn(axis).map(({ name }) => name)).toEqual([
			'Nov',
			'Dec',
			'Jan',
			'Feb',
			'Mar',
			'Apr',
			'May',
			'Jun',
			'Jul',
			'Aug',
			'Sep',
			'Oct'
		]);
	});
	it('a day and its pixel belong together (property)', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: axis.days }), fc.integer({ min: 360, max: 2000 }), (day, width) => {
				const date = dateAt(axis, 58 + (day / axis.days) * (width - 116), width);
				expect(dateAt(axis, xOf(axis, date, width), width)).toBe(date);
			})
		);
	});
	it('keeps what is dragged off it at its ends', () => expect(dateAt(axis, -50, 800)).toBe(axis.from));
});

describe('lanes', () => {
	it('never let two cards cover each other (property)', () => {
		const span = fc.record({ left: fc.integer({ min: 0, max: 900 }), width: fc.integer({ min: 10, max: 200 }) });
		fc.assert(
			fc.property(fc.array(span, { maxLength: 12 }), (raw) => {
				const spans = raw.map(({ left, width }) => ({ left, right: left + width }));
				const lanes = lanesOf(spans);
				spans.forEach((a, i) =>
					spans.forEach((b, j) => {
						if (i < j && lanes[i] === lanes[j]) expect(a.right <= b.left || b.right <= a.left).toBe(true);
					})
				);
			})
		);
	});
	it('place labels that matter before the others', () => {
		const labels = [
			{ x: 100, width: 20 },
			{ x: 110, width: 20, main: true },
			{ x: 160, width: 20 }
		];
		expect(labelsThatFit(labels).map(({ x }) => x)).toEqual([110, 160]);
	});
});

describe('the season while a pass is moved', () => {
	const urea: Pass = {
		id: 'urea',
		date: '2027-05-20',
		label: 'Urea',
		product: 'urea',
		rate: 300,
		unit: 'lb/ac',
		placement: 'incorporated',
		reason: ''
	};
	const mate: Pass = { ...urea, id: 'sulfur', product: 'gypsum', rate: 100, placement: 'broadcast', trip: 'one' };
	const ground: BoardGround = {
		context: planContext(),
		request: {
			units: 'us',
			station: { id: library.stations[0]!.id, kind: 'normal' },
			soil: { textureClass: 'silt loam', drainage: 'moderate', organicMatterPercent: 2.5 },
			crop: { id: 'corn-grain', yieldGoal: 180, plantingDate: '2027-05-01' },
			passes: [urea]
		},
		knowledge: library,
		kind: 'normal'
	};
	const year = boardYear(ground);
	it('its stages are those of the shown year, near the usual ones', () => {
		const six = year.stages.find(({ name }) => name === 'V6')!.date;
		expect(six > '2027-06-01' && six < '2027-06-25').toBe(true);
	});
	it('curves and checks follow, trips stay together', () => {
		const now = liveSeason(ground, year, [urea]);
		const later = liveSeason(ground, year, withMoved([urea], { pass: urea, date: '2027-07-05' }));
		expect(later.run!.balance.takenUp).toBeLessThan(now.run!.balance.takenUp);
		expect(later.checks.map(({ rule }) => rule)).toContain('late-side-dress');
		expect(now.checks.map(({ rule }) => rule)).not.toContain('late-side-dress');
		const trip = [{ ...urea, trip: 'one' }, mate];
		expect(withMoved(trip, { pass: trip[0]!, date: '2027-06-01' }).map(({ date }) => date)).toEqual([
			'2027-06-01',
			'2027-06-01'
		]);
	});
	it('the plan beside others is the plan of the board', () => {
		const [plan] = programmesBeside(ground, year, [urea], () => 500);
		expect(plan!.balance).toEqual(liveSeason(ground, year, [urea]).run!.balance);
	});
	it('known days stand in the year', () => {
		const days = new Map([['2027-06-01', { date: '2027-06-01', minC: 10, maxC: 20, rainMm: 77 }]]);
		const known = boardYear({
			...ground,
			context: planContext({ weather: { days, outlookFrom: '2027-06-01', madeUp: false } })
		});
		expect(known.days.find(({ date }) => date === '2027-06-01')!.rainMm).toBe(77);
	});
	it('a crop without a known uptake has its year and checks, but no curves', () => {
		const beans = { ...ground, context: planContext({ cropId: 'soybean' }) };
		const beanYear = boardYear(beans);
		expect(beanYear.harvest).toBeUndefined();
		expect(beanYear.stages.map(({ name }) => name)).toContain('R1');
		expect(liveSeason(beans, beanYear, [urea]).run).toBeUndefined();
		expect(programmesBeside(beans, beanYear, [urea], () => 500)).toEqual([]);
	});
});
