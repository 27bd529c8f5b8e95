<!-- What palms were given near the road, in the middle and at the centre path, against the dose that was ordered. -->
<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import { palmSpread, PLACES, type Place } from '$core/supply/calibration/palm-spread';
	import Quantity from '../../figure/Quantity.svelte';
	import Severity from '../../figure/Severity.svelte';
	import { numberOrUndefined } from '../../forms/numbers';

	let ordered = $state('2.5');
	let typed = $state<Record<Place, string>>({
		'near the road': '2.6, 2.5, 2.5, 2.6, 2.5, 2.4, 2.6, 2.5, 2.5, 2.6',
		'in the middle': '2.5, 2.4, 2.5, 2.4, 2.3, 2.5, 2.4, 2.4, 2.5, 2.4',
		'at the centre path': '2.3, 2.4, 2.3, 2.2, 2.4, 2.3, 2.3, 2.4, 2.3, 2.2'
	});

	const parts = (text: string) => text.split(/[,;\s]+/).filter(Boolean);
	const wrong = $derived.by(() => {
		for (const place of PLACES) {
			if (parts(typed[place]).length === 0) return `Weigh some palms ${place} too.`;
			const bad = parts(typed[place]).find((text) => (numberOrUndefined(text) ?? -1) < 0);
			if (bad !== undefined) return `“${bad}” ${place} must be kilograms, 0 or more.`;
		}
		return (numberOrUndefined(ordered) ?? 0) > 0 ? '' : `The dose “${ordered}” must be kilograms above 0.`;
	});
	const found = $derived.by(() => {
		if (wrong) return undefined;
		const weighed = Object.fromEntries(
			PLACES.map((place) => [place, parts(typed[place]).map((text) => numberOrUndefined(text)!)])
		);
		return palmSpread(weighed as Record<Place, number[]>, numberOrUndefined(ordered)!);
	});
	const verdict = $derived(
		found?.severity === 'stop'
			? 'Stop and train the team again: palms at one end live on what the others get.'
			: found?.severity === 'mind'
				? 'More than 10 % off: show the team, and look again at the next block.'
				: 'Even, and near the dose.'
	);
</script>

<section aria-label="Doses of palms">
	<h2>Doses of palms</h2>
	<p class="soft small">
		Weigh what about ten palms got at each place. Teams start by turns from the road and from the centre path, and bags
		are counted out, used and back.
	</p>
	<div class="places">
		<TextInput size="sm" labelText="Ordered, kg/palm" inputmode="decimal" bind:value={ordered} />
		{#each PLACES as place (place)}
			<TextInput
				size="sm"
				labelText={`${place.charAt(0).toUpperCase()}${place.slice(1)}, kg each`}
				bind:value={typed[place]}
			/>
		{/each}
	</div>
	{#if wrong}
		<p class="problem" role="alert">{wrong}</p>
	{:else if !found}
		<p class="problem" role="alert">No palm got anything.</p>
	{:else}
		<p class="result">
			{#each PLACES as place, at (place)}{at > 0 ? ', ' : ''}<Quantity answer={found.means[place]} /> {place}{/each};
			<strong><Quantity answer={found.mean} /></strong> on average, <Quantity answer={found.bias} /> off the dose; the places
			<strong><Quantity answer={found.apart} /></strong> apart.
		</p>
		<p role="status">
			{#if found.severity}<Severity severity={found.severity} />{/if}
			{verdict}
		</p>
	{/if}
</section>

<style>
	.places {
		display: grid;
		gap: 0.6rem 1rem;
		margin: 0.6rem 0;
	}
	.problem {
		color: var(--stop);
	}
</style>
