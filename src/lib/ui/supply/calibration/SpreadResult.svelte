<!-- What palms got by place, on average and against the dose, and what that asks for. -->
<script lang="ts">
	import { PLACES, PLACE_WORDS, type PalmSpread } from '$core/supply/calibration/palm-spread';
	import Quantity from '../../figure/Quantity.svelte';
	import Severity from '../../figure/Severity.svelte';

	const { found }: { found: PalmSpread } = $props();
	const verdict = $derived(
		found.severity === 'stop'
			? 'Train the team again: palms at one end live on what the others get.'
			: found.severity === 'mind'
				? 'More than 10 % off: show the team, and look again at the next block.'
				: 'Even, and near the dose.'
	);
</script>

<p class="result">
	{#each PLACES as place, at (place)}{at > 0 ? ', ' : ''}<Quantity answer={found.means[place]} />
		{PLACE_WORDS[place]}{/each};
	<strong><Quantity answer={found.mean} /></strong> on average, <Quantity answer={found.bias} /> off the dose; the places
	<strong><Quantity answer={found.apart} /></strong> apart.
</p>
<p role="status">
	{#if found.severity}<Severity severity={found.severity} />{/if}
	{verdict}
</p>
