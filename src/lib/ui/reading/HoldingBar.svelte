<!-- Capacity, what is in it now, and the room left, as one bar. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import Quantity from '../figure/Quantity.svelte';

	interface Props {
		cec: Answer;
		limit: Answer;
		room: Answer;
		inGround: Answer;
	}
	const { cec, limit, room, inGround }: Props = $props();
	const share = $derived(limit.applies && inGround.applies ? Math.min(100, (inGround.value / limit.value) * 100) : 0);
</script>

{#if limit.applies}
	{#if room.applies}
		<div class="bar" aria-hidden="true"><div class="held" style:width={`${share}%`}></div></div>
	{/if}
	<p>
		CEC <strong><Quantity answer={cec} /></strong>: at one time it can hold
		<strong><Quantity answer={limit} /></strong> of nitrogen.
		{#if room.applies}
			Soil mineral N now <strong><Quantity answer={inGround} /></strong>; capacity left
			<strong><Quantity answer={room} /></strong>.
		{:else}
			Soil mineral N is not known: {room.reason}. {room.remedy}
		{/if}
	</p>
{:else}
	<p>It cannot be said what this soil can hold, because {limit.reason}. {limit.remedy}</p>
{/if}

<style>
	.bar {
		height: 1.1rem;
		max-width: 44rem;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		margin-bottom: 0.6rem;
	}
	.held {
		height: 100%;
		background: var(--nutrient-n);
	}
</style>
