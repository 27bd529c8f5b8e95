import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placeLabels, spreadMarks, type Label } from './place-labels';
import { ticksOver } from './scale';

const LINE = 780;
const labelsOn = (line: number) =>
	fc.array(
		fc.record({
			x: fc.double({ min: 0, max: line, noNaN: true }),
			width: fc.double({ min: 20, max: 260, noNaN: true })
		}),
		{ maxLength: 9 }
	);

describe('labels of a strip', () => {
	it('never touch, never leave the line, and stand across their marks', () => {
		let placedOnce = 0;
		fc.assert(
			fc.property(labelsOn(LINE), (labels) => {
				const placed = placeLabels(labels, LINE);
				if (!placed) return;
				placedOnce++;
				expect(placed).toHaveLength(labels.length);
				const boxes = placed.map(({ lane, left }, at) => ({ lane, left, right: left + labels[at]!.width }));
				boxes.forEach(({ left, right }, at) => {
					expect(left).toBeGreaterThanOrEqual(-1e-6);
					expect(right).toBeLessThanOrEqual(LINE + 1e-6);
					expect(left).toBeLessThanOrEqual(labels[at]!.x + 1e-6);
					expect(right).toBeGreaterThanOrEqual(labels[at]!.x - 1e-6);
				});
				for (const [at, one] of boxes.entries())
					for (const other of boxes.slice(at + 1))
						if (one.lane === other.lane) {
							const apart = Math.max(one.left - other.right, other.left - one.right);
							expect(apart).toBeGreaterThanOrEqual(10 - 1e-6);
						}
			}),
			{ numRuns: 60 }
		);
		expect(placedOnce).toBeGreaterThan(10);
	});

	it('stand in the middle of their marks in one lane where there is room', () => {
		const labels: Label[] = [
			{ x: 100, width: 80 },
			{ x: 400, width: 120 }
		];
		expect(placeLabels(labels, LINE)).toEqual([
			{ lane: 0, left: 60 },
			{ lane: 0, left: 340 }
		]);
	});

	it('take a second and a third lane before they give up', () => {
		const near = (count: number): Label[] => Array.from({ length: count }, (_, at) => ({ x: 300 + at, width: 200 }));
		const lanesOf = (count: number) => new Set(placeLabels(near(count), LINE)?.map(({ lane }) => lane)).size;
		// Two stand side by side across marks a pixel apart only where the gap between them fits; so one each.
		expect([1, 2, 3].map(lanesOf)).toEqual([1, 2, 3]);
		expect(placeLabels(near(4), LINE)).toBeUndefined();
		expect(
			placeLabels(
				Array.from({ length: 9 }, (_, at) => ({ x: at * 80, width: 20 })),
				LINE
			)
		).toBeUndefined();
	});
});

describe('marks of a strip', () => {
	it('are moved apart about their middle, and stay where they are when they are apart', () => {
		expect(spreadMarks([10, 100, 300], 17)).toEqual([10, 100, 300]);
		expect(spreadMarks([100, 100], 17)).toEqual([91.5, 108.5]);
		// 90 joins the pair at 100 once they are spread to 91.5
		expect(spreadMarks([90, 100, 100], 18)).toEqual([290 / 3 - 18, 290 / 3, 290 / 3 + 18]);
	});

	it('stay in order and so far apart, whatever they are', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 0, max: 780, noNaN: true }), { maxLength: 12 }), (some) => {
				const xs = [...some].sort((a, b) => a - b);
				const spread = spreadMarks(xs, 17);
				spread.slice(1).forEach((x, at) => expect(x - spread[at]!).toBeGreaterThanOrEqual(17 - 1e-6));
				const sum = (all: readonly number[]) => all.reduce((total, x) => total + x, 0);
				expect(sum(spread)).toBeCloseTo(sum(xs), 6);
			})
		);
	});
});

it('a scale runs in plain steps from 0 to just over the highest rate', () => {
	expect(ticksOver(177.8)).toEqual([0, 50, 100, 150, 200]);
	expect(ticksOver(12)).toEqual([0, 2.5, 5, 7.5, 10, 12.5]);
	expect(ticksOver(0.31)).toEqual([0, 0.1, 0.2, 0.3, 0.4]);
	expect(ticksOver(2024.7)).toEqual([0, 500, 1000, 1500, 2000, 2500]);
	expect(ticksOver(300)).toEqual([0, 100, 200, 300]);
	expect(ticksOver(0)).toEqual([0, 1]);
});
