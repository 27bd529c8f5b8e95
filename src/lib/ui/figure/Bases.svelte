<!-- A rate by the plant, by the row and by the treated strip, each with its worksheet. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import Quantity from './Quantity.svelte';

	const { bases }: { bases: readonly Answer[] } = $props();
</script>

{#if bases.length > 0}
	<div class="bases small soft">
		{#each bases as answer, at (at)}<Quantity {answer} />{/each}
	</div>
{/if}

<style>
	.bases {
		display: flex;
		flex-wrap: wrap;
		gap: 0 0.7rem;
	}
</style>
