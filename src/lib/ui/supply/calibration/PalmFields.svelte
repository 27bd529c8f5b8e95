<!-- Where the kilograms of palms are typed, place by place. -->
<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import { PLACES, PLACE_WORDS } from '$core/supply/calibration/palm-spread';
	import type { TypedPalms } from './typed-palms';

	interface Props {
		typed: TypedPalms;
		small?: boolean;
	}
	let { typed = $bindable(), small = false }: Props = $props();
	const labelOf = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}, kg each`;
</script>

<div class="palms">
	{#each PLACES as place (place)}
		<TextInput size={small ? 'sm' : undefined} labelText={labelOf(PLACE_WORDS[place])} bind:value={typed[place]} />
	{/each}
</div>

<style>
	/* Ten weights stand in a line. */
	.palms {
		display: grid;
		gap: 0.6rem;
		justify-self: stretch;
	}
	.palms :global(.bx--text-input__field-outer-wrapper),
	.palms :global(.bx--text-input-wrapper) {
		max-width: none;
	}
</style>
