<!-- What is grown, what the soil can hold on one day, and the simulated year that the board shows. -->
<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import type { SeasonPage } from '$lib/server/pages/season-page';
	import { longDate } from '$core/units/day-text';
	import Quantity from '../../figure/Quantity.svelte';

	const { season }: { season: NonNullable<SeasonPage['season']> } = $props();
</script>

<div class="head">
	<div>
		<h1>The season of {season.cropName.toLowerCase()}</h1>
		<p class="soft">
			{#if !season.ground.context.crop.perennial}Planting {longDate(season.plantingDate)}.{/if} On one day the soil can hold
			{#if season.ceiling.applies}<Quantity answer={season.ceiling} /> of nitrogen.{:else}an unknown amount of nitrogen,
				because
				{season.ceiling.reason}.{/if}
			{#if season.passes.length > 0}Drag a pass, or choose it and use the arrow keys.{/if}
		</p>
	</div>
	<Select
		size="sm"
		inline
		labelText="in a simulated year that is"
		selected={season.ground.kind}
		on:update={({ detail }) => void goto(`?weather=${detail}`, { noScroll: true, keepFocus: true })}
	>
		<SelectItem value="normal" text="normal" />
		<SelectItem value="wet" text="wet" />
		<SelectItem value="dry" text="dry" />
	</Select>
</div>

<style>
	.head {
		display: flex;
		justify-content: space-between;
		align-items: flex-start;
		gap: 0.5rem 2rem;
		flex-wrap: wrap;
	}
	.head p {
		margin-bottom: 0.2rem;
	}
</style>
