<!-- What palms were given near the road, in the middle and at the centre path, against the dose that was ordered. -->
<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import { palmSpread } from '$core/supply/calibration/palm-spread';
	import { numberOrUndefined } from '../../forms/numbers';
	import PalmFields from './PalmFields.svelte';
	import SpreadResult from './SpreadResult.svelte';
	import { readPalms, type TypedPalms } from './typed-palms';

	let ordered = $state('2.5');
	let typed = $state<TypedPalms>({
		road: '2.6, 2.5, 2.5, 2.6, 2.5, 2.4, 2.6, 2.5, 2.5, 2.6',
		middle: '2.5, 2.4, 2.5, 2.4, 2.3, 2.5, 2.4, 2.4, 2.5, 2.4',
		path: '2.3, 2.4, 2.3, 2.2, 2.4, 2.3, 2.3, 2.4, 2.3, 2.2'
	});

	const orderedKg = $derived(numberOrUndefined(ordered) ?? 0);
	const read = $derived(orderedKg > 0 ? readPalms(typed) : `The dose “${ordered}” must be kilograms above 0.`);
	const found = $derived(typeof read === 'string' ? undefined : palmSpread(read, orderedKg));
</script>

<section aria-label="Doses of palms">
	<h2>Doses of palms</h2>
	<p class="soft small">
		Weigh what about ten palms got at each place. Teams start by turns from the road and from the centre path, and bags
		are counted out, used and back.
	</p>
	<div class="places">
		<TextInput size="sm" labelText="Ordered, kg/palm" inputmode="decimal" bind:value={ordered} />
		<PalmFields small bind:typed />
	</div>
	{#if found}
		<SpreadResult {found} />
	{:else}
		<p class="problem" role="alert">{typeof read === 'string' ? read : 'No palm got anything.'}</p>
	{/if}
</section>

<style>
	.places {
		display: grid;
		gap: 0.6rem 1rem;
		margin: 0.6rem 0;
	}
</style>
