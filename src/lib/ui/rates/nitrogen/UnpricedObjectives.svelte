<!-- What a curve calls for while prices are missing: maximum yield stands, the others say what they need. -->
<script lang="ts">
	import Mark from '../../figure/Mark.svelte';
	import type { Objective } from '$core/schema-types';
	import { inSystem, type UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import Quantity from '../../figure/Quantity.svelte';

	type Curve = NonNullable<RatesPage['nitrogen']>['curves'][number];

	interface Props {
		source: Pick<Curve, 'title' | 'simulated' | 'objectives'>;
		objectives: readonly { id: Objective; key: keyof Curve['objectives']; name: string }[];
		units: UnitSystem;
		choose: (objective: Objective) => void;
	}
	const { source, objectives, units, choose }: Props = $props();
</script>

<p>
	By {source.title}{#if source.simulated}, <span class="mark-about"><Mark /> simulated, not measured</span>{/if}:
</p>
<ul>
	{#each objectives as { id, key, name } (id)}
		{@const rate = source.objectives[key]}
		<li>
			{name}:
			{#if rate.applies}
				<strong><Quantity answer={inSystem(rate, units)} label={name} /></strong>
				<button type="button" class="plain" aria-label={`Choose ${name.toLowerCase()}`} onclick={() => choose(id)}
					>Choose</button
				>
			{:else}<span class="soft">does not apply: {rate.reason}. {rate.remedy}</span>{/if}
		</li>
	{/each}
</ul>

<style>
	.mark-about {
		color: var(--accent-ink);
	}
</style>
