<!-- Layers of the field: which one is shown, as points or as a surface, and how far the surface can be trusted. -->
<script lang="ts">
	import Mark from '../../figure/Mark.svelte';
	import { Button, RadioButton, RadioButtonGroup, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import type { Shape } from '$core/ground/shapes/shape';
	import type { PlacedPoint } from '$core/schema-types';
	import type { SurfaceMethod } from '$core/zones/surface/surface';
	import { formatNumber } from '$core/units/display';
	import type { GroundReply, ShownSurface } from '../../../../workers/ground-messages';
	import { numberOrUndefined } from '../../forms/numbers';
	import type { LayerHead } from './layer-points';
	import { GroundRun } from './ground-run.svelte';
	import VariogramChart from './VariogramChart.svelte';
	import { onDestroy } from 'svelte';
	import { remove } from '../../forms/call';

	interface Props {
		fieldId: string;
		boundary: Shape | undefined;
		layers: readonly LayerHead[];
		/** Of the layer that is shown. */
		points: readonly PlacedPoint[];
		shown: string | undefined;
		surface: ShownSurface | undefined;
		show: (id: string | undefined) => void;
		setSurface: (surface: ShownSurface | undefined) => void;
	}
	const { fieldId, boundary, layers, points, shown, surface, show, setSurface }: Props = $props();

	let method = $state<SurfaceMethod>('kriging');
	let cell = $state('10');
	let problem = $state('');
	const layer = $derived(layers.find(({ id }) => id === shown));
	const run = new GroundRun((reply: GroundReply) => {
		if (reply.kind === 'problem') problem = reply.problem;
		if (reply.kind === 'surface') setSurface(reply.surface);
	});
	onDestroy(() => run.stop());

	function work(): void {
		const cellM = numberOrUndefined(cell);
		setSurface(undefined);
		if (cellM === undefined || cellM < 2 || cellM > 200)
			return void (problem = `The cell “${cell}” must be a number of metres from 2 to 200.`);
		if (!boundary || !layer) return;
		problem = '';
		run.ask({ kind: 'surface', boundary: $state.snapshot(boundary) as Shape, cellM, method, points: [...points] });
	}

	async function removeLayer(id: string): Promise<void> {
		problem = await remove('DELETE /api/fields/{field}/layers/{layer}', { field: fieldId, layer: id });
		if (id === shown) show(undefined);
	}
	const digits = (value: number) => formatNumber(Number(value.toPrecision(3)), 'ratio');
</script>

<section aria-label="Layers">
	<h2>Layers</h2>
	{#if layers.length === 0}
		<p class="soft">
			Nothing was measured over the field yet: import a yield map, a canopy index, conductivity, or sample points.
		</p>
	{:else}
		<RadioButtonGroup
			orientation="vertical"
			legendText="On the map"
			selected={shown ?? ''}
			on:change={({ detail }) => {
				setSurface(undefined);
				show(detail === '' ? undefined : String(detail));
			}}
		>
			<RadioButton value="" labelText="none" />
			{#each layers as { id, name, count } (id)}<RadioButton value={id} labelText={`${name}, ${count} points`} />{/each}
		</RadioButtonGroup>
	{/if}
	{#if layer}
		<div class="fields">
			<Select size="sm" labelText="Surface by" bind:selected={method}>
				<SelectItem value="kriging" text="ordinary kriging" />
				<SelectItem value="inverse distance" text="inverse distance" />
			</Select>
			<TextInput size="sm" labelText="Cells of, m" inputmode="numeric" bind:value={cell} />
		</div>
		<div class="row">
			{#if run.busy}
				<span role="status">Working it out…</span>
				<Button size="small" kind="ghost" onclick={() => run.stop()}>Leave off</Button>
			{:else}
				<Button size="small" kind="tertiary" onclick={work}>Show the surface</Button>
				<Button size="small" kind="ghost" onclick={() => removeLayer(layer.id)}>Take this layer out</Button>
			{/if}
		</div>
	{/if}
	{#if surface}
		<p>
			By {surface.method} from {surface.points} points. Left out one at a time, each is missed by
			<strong>{digits(surface.leaveOneOutError)}</strong>; the plain mean misses it by {digits(
				surface.standardDeviation
			)}.
		</p>
		{#each surface.cautions as caution, at (at)}<p class="late"><Mark /> {caution}</p>{/each}
		{#if surface.variogram}<VariogramChart variogram={surface.variogram} />{/if}
	{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: 1.4fr 1fr;
		gap: 0.6rem 1rem;
		margin: 0.5rem 0;
	}
	.late {
		color: var(--accent-ink);
	}
</style>
