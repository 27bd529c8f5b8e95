<!-- A season without passes: what comes first, or that the program can propose them. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';

	interface Props {
		hasRates: boolean;
		/** Where the rates are chosen. */
		rates: string;
		propose: () => void;
	}
	const { hasRates, rates, propose }: Props = $props();
</script>

<div class="empty">
	<h2>No passes yet</h2>
	{#if !hasRates}
		<p>Choose rates first; the program then proposes passes that put them on, split by what the soil can hold.</p>
		<Button size="small" href={rates}>To the rates</Button>
	{:else}
		<p>
			The program can propose passes for the chosen rates, split by what the soil can hold. You change what you like.
		</p>
		<Button size="small" onclick={propose}>Propose passes</Button>
	{/if}
</div>
