<!-- Sample points set by hand: clicked on the map or typed, each with its value; they make a layer. -->
<script lang="ts">
	import { Button, Disclosure, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import type { LayerQuantity, PlacedPoint } from '$core/schema-types';
	import { formatNumber } from '$core/units/display';
	import { numberOrUndefined } from '../../forms/numbers';
	import type { MapMode } from './GroundMap.svelte';
	import type { LayerHead } from './layer-points';
	import { QUANTITIES, usualUnit } from './quantities';
	import { save } from '../../forms/call';

	interface Props {
		fieldId: string;
		/** The layer that is on the map: points are added to it. */
		layer: LayerHead | undefined;
		points: readonly PlacedPoint[];
		mode: MapMode;
		setMode: (mode: MapMode) => void;
		/** Where the map was clicked last. */
		place: readonly [number, number] | undefined;
		/** A layer was made or changed, by its name. */
		made: (name: string) => void;
	}
	const { fieldId, layer, points, mode, setMode, place, made }: Props = $props();

	const MOST_LISTED = 60;
	let name = $state('Samples');
	let quantity = $state<LayerQuantity>('P');
	let x = $state('');
	let y = $state('');
	let value = $state('');
	let problem = $state('');

	$effect(() => {
		if (!place) return;
		x = String(place[0]);
		y = String(place[1]);
	});

	async function keep(all: PlacedPoint[]): Promise<void> {
		const kept = layer
			? {
					name: layer.name,
					quantity: layer.quantity,
					unit: layer.unit,
					...(layer.takenOn ? { takenOn: layer.takenOn } : {})
				}
			: { name: name.trim(), quantity, unit: usualUnit(quantity) };
		if (kept.name === '') return void (problem = 'Give the layer a name, such as “P by sample”.');
		problem = await save('POST /api/fields/{field}/layers', { field: fieldId }, { layer: { ...kept, points: all } });
		if (!problem) made(kept.name);
	}

	async function add(): Promise<void> {
		const point = [x, y, value].map(numberOrUndefined);
		const wrong = point.indexOf(undefined);
		if (wrong >= 0) {
			const [label, text] = [
				['Longitude', x],
				['Latitude', y],
				['Value', value]
			][wrong]!;
			return void (problem = `${label}: “${text}” must be a number.`);
		}
		await keep([...(layer ? points : []), point as PlacedPoint]);
		if (!problem) value = '';
	}
</script>

<section aria-label="Sample points">
	<h2>Sample points by hand</h2>
	<p class="soft small">
		{layer
			? `They are added to ${layer.name}, which is on the map.`
			: 'They make a new layer; choose one above to add to it.'}
	</p>
	<div class="fields">
		{#if !layer}
			<TextInput size="sm" labelText="Name of the new layer" bind:value={name} />
			<Select size="sm" labelText="Points are of" bind:selected={quantity}>
				{#each QUANTITIES as { id, text } (id)}<SelectItem value={id} {text} />{/each}
			</Select>
		{/if}
		<TextInput size="sm" labelText="Longitude" inputmode="decimal" bind:value={x} />
		<TextInput size="sm" labelText="Latitude" inputmode="decimal" bind:value={y} />
		<TextInput size="sm" labelText={`Value${layer?.unit ? `, ${layer.unit}` : ''}`} inputmode="decimal" bind:value />
	</div>
	<div class="row">
		<Button size="small" kind="tertiary" onclick={add}>Save the point</Button>
		<Button
			size="small"
			kind={mode === 'point' ? 'primary' : 'ghost'}
			onclick={() => setMode(mode === 'point' ? 'look' : 'point')}
			>{mode === 'point' ? 'Leave off clicking' : 'Click its place on the map'}</Button
		>
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if layer && points.length > 0 && points.length <= MOST_LISTED}
		<Disclosure align="start" summary={`Points of ${layer.name}`}>
			<ol>
				{#each points as [px, py, pv], at (at)}
					<li>
						{formatNumber(pv, 'ratio')} at {px}, {py}
						{#if points.length > 1}
							<button
								type="button"
								class="plain small"
								aria-label={`Delete point ${at + 1}`}
								onclick={() => keep(points.filter((_point, other) => other !== at))}>Delete</button
							>
						{/if}
					</li>
				{/each}
			</ol>
		</Disclosure>
	{/if}
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(8rem, 1fr));
		gap: 0.6rem 1rem;
		margin: 0.4rem 0;
	}
</style>
