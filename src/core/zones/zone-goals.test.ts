import { describe, expect, it } from 'vitest';
import { zoneGoals } from './zone-goals';

describe('goals of zones', () => {
	const zones = [
		{ name: 'Ridge', areaAcres: 10 },
		{ name: 'Bottom', areaAcres: 30 }
	];
	const means: Record<string, number> = { Ridge: 120, Bottom: 200 };
	const yieldOf = (zone: string) => ({ mean: means[zone]!, points: 50, layer: 'Yield 2026' });

	it('share the field’s goal out by what each zone yielded, so that by acres they come to the goal again', () => {
		const goals = zoneGoals(180, zones, yieldOf)!;
		// Mean of all ground (10 x 120 + 30 x 200) / 40 = 180: each zone gets its own mean.
		expect([...goals.by]).toEqual([
			['Ridge', 120],
			['Bottom', 200]
		]);
		expect(goals.layerName).toBe('Yield 2026');
		expect([...zoneGoals(198, zones, yieldOf)!.by.values()]).toEqual([132, 220]);
	});

	it('are not guessed without a goal, without zones, or where one zone has no yield', () => {
		expect(zoneGoals(undefined, zones, yieldOf)).toBeUndefined();
		expect(zoneGoals(180, [], yieldOf)).toBeUndefined();
		expect(zoneGoals(180, zones, (zone) => (zone === 'Bottom' ? undefined : yieldOf(zone)))).toBeUndefined();
		expect(zoneGoals(180, zones, (zone) => (zone === 'Ridge' ? undefined : yieldOf(zone)))).toBeUndefined();
	});
});
