<!-- A shape typed corner by corner, for those who do not draw. -->
<script lang="ts">
	import { Button, TextArea } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Shape } from '$core/ground/shapes/shape';
	import { cornersText, shapeOfCorners } from './corners';

	interface Props {
		shape: Shape | undefined;
		/** Keeps the shape; gives back what went wrong. */
		keep: (shape: Shape) => Promise<string | undefined>;
	}
	const { shape, keep }: Props = $props();

	let corners = $state(untrack(() => cornersText(shape)));
	let problem = $state('');

	async function save(): Promise<void> {
		const typed = shapeOfCorners(corners);
		problem = typeof typed === 'string' ? typed : ((await keep(typed)) ?? '');
	}
</script>

<div>
	<TextArea
		labelText="Corners: longitude and latitude on each line; a blank line begins another part or a hole"
		rows={7}
		bind:value={corners}
	/>
	<Button size="small" onclick={save}>Save the corners</Button>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</div>

<style>
	div {
		width: 100%;
	}
</style>
