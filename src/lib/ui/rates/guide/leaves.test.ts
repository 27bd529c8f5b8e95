import { describe, expect, it } from 'vitest';
import { leavesOf, nextVersion, withLeaf } from './leaves';

const parameters = { lines: [{ target: { ph: 6, scale: 'water' }, constant: 49.3 }], referenceDepthIn: 8 };

describe('the values of nested coefficients', () => {
	it('stand in order under names an adviser can read', () => {
		expect(leavesOf(parameters).map(({ label, value }) => [label, value])).toEqual([
			['lines 1, target, ph', 6],
			['lines 1, target, scale', 'water'],
			['lines 1, constant', 49.3],
			['reference depth in', 8]
		]);
		expect(leavesOf({ criticalLevelPpm: { constant: 15 } })[0]?.label).toBe('critical level ppm, constant');
	});
	it('are changed one at a time, and nothing else is', () => {
		const changed = withLeaf(parameters, ['lines', 0, 'target', 'ph'], 6.2);
		expect(changed.lines[0]).toEqual({ target: { ph: 6.2, scale: 'water' }, constant: 49.3 });
		expect(parameters.lines[0]?.target.ph).toBe(6);
		expect(changed.referenceDepthIn).toBe(8);
	});
});

it('the next version is one patch on', () => {
	expect(nextVersion('1.0.9')).toBe('1.0.10');
	expect(nextVersion('2.3.0')).toBe('2.3.1');
});
