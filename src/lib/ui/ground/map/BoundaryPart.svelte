<!-- The boundary: drawn, mended, read from a file, or typed corner by corner. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { Shape } from '$core/ground/shapes/shape';
	import { quantityIn } from '$core/units/amount-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import CornersForm from './CornersForm.svelte';
	import type { MapMode } from './GroundMap.svelte';
	import { save } from '../../forms/call';

	interface Props {
		fieldId: string;
		boundary: Shape | undefined;
		acres: number | undefined;
		units: UnitSystem;
		mode: MapMode;
		setMode: (mode: MapMode) => void;
	}
	const { fieldId, boundary, acres, units, mode, setMode }: Props = $props();

	let typing = $state(false);
	let problem = $state('');

	async function keepCorners(shape: Shape): Promise<string | undefined> {
		const failed = await save('PUT /api/fields/{field}/boundary', { field: fieldId }, { boundary: shape });
		if (!failed) typing = false;
		return failed;
	}

	async function remove(): Promise<void> {
		problem = await save('PUT /api/fields/{field}/boundary', { field: fieldId }, { boundary: null });
	}
</script>

<section aria-label="Boundary">
	<h2>Boundary</h2>
	<p>
		{#if boundary && acres !== undefined}{quantityIn(units, acres, 'ac')}.{:else}<span class="soft"
				>None yet: draw it on the map, read it from a file, or type its corners.</span
			>{/if}
	</p>
	<div class="row">
		<Button
			size="small"
			kind={mode === 'draw' ? 'primary' : 'tertiary'}
			onclick={() => setMode(mode === 'draw' ? 'look' : 'draw')}
		>
			{mode === 'draw' ? 'Leave off drawing' : boundary ? 'Draw it anew' : 'Draw it'}
		</Button>
		{#if boundary}
			<Button
				size="small"
				kind={mode === 'mend' ? 'primary' : 'tertiary'}
				onclick={() => setMode(mode === 'mend' ? 'look' : 'mend')}
			>
				{mode === 'mend' ? 'Stop editing' : 'Edit'}
			</Button>
			<Button size="small" kind="ghost" onclick={remove}>Delete the boundary</Button>
		{/if}
		<Button size="small" kind="ghost" onclick={() => (typing = !typing)}>
			{typing ? 'Leave off typing' : 'Type its corners'}
		</Button>
	</div>
	{#if mode === 'draw'}<p class="soft small">Click each corner; click twice at the last.</p>{/if}
	{#if mode === 'mend'}<p class="soft small">
			Drag a corner, or a line to make a new corner. Each move is kept and can be undone.
		</p>{/if}
	{#if typing}<CornersForm shape={boundary} keep={keepCorners} />{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</section>

<style>
	.row {
		gap: 0.4rem;
	}
</style>
