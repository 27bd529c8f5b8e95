<!-- The field's goal as a yield layer shares it out, to be set for the zones of this year. -->
<script lang="ts">
	import type { Zone } from '$core/schema-types';
	import type { SharedGoals } from '$core/zones/zone-goals';
	import { quantityIn } from '$core/units/amount-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import { save } from '../../forms/call';

	interface Props {
		goals: SharedGoals;
		fieldId: string;
		year: number;
		/** Of the crop, with the weight of its bushel. */
		yieldUnit: string;
		units: UnitSystem;
		zones: readonly (Pick<Zone, 'name' | 'shape' | 'facts'> & { id: string })[];
		/** Told the reason where it could not be set, else an empty text. */
		failed: (why: string) => void;
	}
	const { goals, fieldId, year, yieldUnit, units, zones, failed }: Props = $props();

	async function setGoals(): Promise<void> {
		const problem = await save(
			'PUT /api/fields/{field}/zones',
			{ field: fieldId },
			{
				zones: zones.map(({ name, shape, facts }) => ({
					name,
					shape,
					facts: { ...facts, yieldGoal: goals.by.get(name)! }
				})),
				year,
				seen: zones.map(({ id, facts }) => ({ id, facts }))
			}
		);
		failed(problem);
	}
</script>

<p>
	By {goals.layerName} the field’s goal shares out as {[...goals.by]
		.map(([name, goal]) => `${quantityIn(units, goal, yieldUnit)} in ${name}`)
		.join(', ')}.
	<button type="button" class="plain" onclick={setGoals}>Set these goals</button>
</p>

<style>
	p {
		margin-top: 1.4rem;
	}
</style>
