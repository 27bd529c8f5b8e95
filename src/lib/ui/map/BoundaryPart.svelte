<!-- The boundary: drawn, mended, read from a file, or typed corner by corner. -->
<script lang="ts">
	import { Button, TextArea } from 'carbon-components-svelte';
	import type { Shape } from '$core/ground/shapes/shape';
	import { formatNumber } from '$core/units/display';
	import { post } from '../post';
	import { cornersText, shapeOfCorners } from './corners';
	import type { MapMode } from './GroundMap.svelte';

	interface Props {
		fieldId: string;
		boundary: Shape | undefined;
		acres: number | undefined;
		mode: MapMode;
		setMode: (mode: MapMode) => void;
	}
	const { fieldId, boundary, acres, mode, setMode }: Props = $props();

	let corners = $state<string | undefined>();
	let problem = $state('');

	async function keepCorners(): Promise<void> {
		const shape = shapeOfCorners(corners ?? '');
		if (typeof shape === 'string') return void (problem = shape);
		problem = (await post(`/api/fields/${fieldId}/boundary`, { boundary: shape })) ?? '';
		if (!problem) corners = undefined;
	}

	async function remove(): Promise<void> {
		problem = (await post(`/api/fields/${fieldId}/boundary`, { boundary: null })) ?? '';
	}
</script>

<section aria-label="Boundary">
	<h2>Boundary</h2>
	<p>
		{#if boundary && acres !== undefined}{formatNumber(acres, 'ac')} acres.{:else}<span class="soft"
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
				{mode === 'mend' ? 'Leave off mending' : 'Mend it'}
			</Button>
			<Button size="small" kind="ghost" onclick={remove}>Take it away</Button>
		{/if}
		<Button
			size="small"
			kind="ghost"
			onclick={() => (corners = corners === undefined ? cornersText(boundary) : undefined)}
		>
			{corners === undefined ? 'Type its corners' : 'Leave off typing'}
		</Button>
	</div>
	{#if mode === 'draw'}<p class="soft small">Click each corner; click twice at the last.</p>{/if}
	{#if mode === 'mend'}<p class="soft small">
			Drag a corner, or a line to make a new corner. Each move is kept and can be undone.
		</p>{/if}
	{#if corners !== undefined}
		<TextArea
			labelText="Corners: longitude and latitude on each line; a blank line begins another part or a hole"
			rows={7}
			bind:value={corners}
		/>
		<Button size="small" onclick={keepCorners}>Keep the corners</Button>
	{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</section>

<style>
	.row {
		gap: 0.4rem;
	}
	.problem {
		color: var(--stop);
	}
</style>
