<!-- A map file: looked at first, then taken as boundary, as zones or as layers. -->
<script lang="ts">
	import { Button, FileUploaderDropContainer, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import type { Shape } from '$core/ground/shapes/shape';
	import type { LayerQuantity, LookedAt } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import { formatNumber } from '$core/units/display';
	import ListTable from '../../tables/ListTable.svelte';
	import { guessQuantity, QUANTITIES, usualUnit } from './quantities';
	import { save, sendFile } from '../../forms/call';
	import DayField from '../../forms/days/DayField.svelte';

	interface Props {
		fieldId: string;
		hasBoundary: boolean;
		units: UnitSystem;
	}
	const { fieldId, hasBoundary, units }: Props = $props();

	let file = $state.raw<File | undefined>();
	let looked = $state.raw<LookedAt | undefined>();
	let problem = $state('');
	let notice = $state<string[]>([]);
	let busy = $state(false);
	let column = $state('');
	let quantity = $state<LayerQuantity>('other');
	let unit = $state('');
	let name = $state('');
	let takenOn = $state('');

	const sound = $derived(looked?.shapes.filter(({ shape }) => shape) ?? []);

	async function look(chosen: File | undefined): Promise<void> {
		looked = undefined;
		notice = [];
		file = chosen;
		if (!chosen) return;
		busy = true;
		const { answer, problem: failed } = await sendFile(
			'POST /api/fields/{field}/map-file',
			{ field: fieldId },
			chosen,
			{ reload: false }
		);
		// Another was chosen meanwhile: what this one holds is no longer asked.
		if (file !== chosen) return;
		busy = false;
		problem = failed ?? '';
		looked = answer;
		if (answer?.columns[0]) setColumn(answer.columns[0].column);
	}

	function setColumn(to: string): void {
		column = to;
		quantity = guessQuantity(to);
		unit = usualUnit(quantity);
		name = to;
	}

	async function takeBoundary(shape: Shape): Promise<void> {
		problem = await save('PUT /api/fields/{field}/boundary', { field: fieldId }, { boundary: shape });
		if (!problem) done('The boundary is set.');
	}

	async function takeZones(): Promise<void> {
		const zones = sound.map(({ name: zone, shape }) => ({ name: zone, shape: shape!, facts: {} }));
		problem = await save('PUT /api/fields/{field}/zones', { field: fieldId }, { zones, from: file!.name });
		if (!problem) done(`${zones.length} zones were imported.`);
	}

	async function takeLayer(): Promise<void> {
		const query = { column, quantity, unit, name: name.trim(), ...(takenOn ? { takenOn } : {}) };
		busy = true;
		const { answer, problem: failed } = await sendFile(
			'POST /api/fields/{field}/layers/file',
			{ field: fieldId },
			file!,
			{ query, reload: true }
		);
		busy = false;
		problem = failed ?? '';
		if (answer) notice = [`${name} is a layer of ${answer.points} points.`, ...answer.notes];
	}

	function done(text: string): void {
		notice = [text];
		looked = undefined;
	}
</script>

{#snippet acresCell({ acres }: LookedAt['shapes'][number])}
	{acres === undefined ? '' : quantityIn(units, acres, 'ac')}
{/snippet}
{#snippet takeCell({ shape, problem: wrong }: LookedAt['shapes'][number])}
	{#if shape}
		<button type="button" class="plain" onclick={() => takeBoundary(shape)}>Take as boundary</button>
	{:else}<span class="problem">{wrong}</span>{/if}
{/snippet}

<FileUploaderDropContainer
	labelText="Drop a map file here, or choose one: GeoJSON, KML, zipped Shapefile, GeoPackage, GeoTIFF, or CSV with longitude and latitude"
	accept={['.geojson', '.json', '.kml', '.kmz', '.zip', '.gpkg', '.tif', '.tiff', '.csv', '.txt']}
	validateFiles={(files) => files}
	on:change={({ detail }) => void look(detail[0])}
/>
{#if busy}<p role="status">Reading…</p>{/if}
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
{#each notice as text, at (at)}<p role="status">{text}</p>{/each}
{#if looked}
	{#each looked.notes as note, at (at)}<p class="soft small">{note}</p>{/each}
	{#if looked.shapes.length > 0}
		<ListTable
			label="Areas in the file"
			rows={looked.shapes}
			columns={[
				{ name: 'Area', of: ({ name }) => name },
				{ name: 'Area', of: ({ acres }) => acres, cell: acresCell, number: true },
				{ name: '', cell: takeCell }
			]}
		/>
		{#if sound.length > 1}
			<Button size="small" kind="tertiary" onclick={takeZones}>Take all {sound.length} as zones</Button>
		{/if}
	{/if}
	{#if looked.columns.length > 0}
		{@const range = looked.columns.find((one) => one.column === column)}
		<p>{looked.points} points.{hasBoundary ? '' : ' A layer needs the boundary first.'}</p>
		<div class="fields">
			<Select size="sm" labelText="Column" selected={column} on:update={({ detail }) => setColumn(String(detail))}>
				{#each looked.columns as one (one.column)}<SelectItem value={one.column} text={one.column} />{/each}
			</Select>
			<Select
				size="sm"
				labelText="It is"
				selected={quantity}
				on:update={({ detail }) => {
					quantity = detail as LayerQuantity;
					unit = usualUnit(quantity);
				}}
			>
				{#each QUANTITIES as { id, text } (id)}<SelectItem value={id} {text} />{/each}
			</Select>
			<TextInput size="sm" labelText="Unit" bind:value={unit} />
			<TextInput size="sm" labelText="Name of the layer" bind:value={name} />
			<DayField label="Taken on" bind:date={takenOn} />
		</div>
		{#if range}
			<p class="soft small">
				{range.count} values from {formatNumber(range.least, 'ratio')} to {formatNumber(range.most, 'ratio')}.
			</p>
		{/if}
		<Button size="small" disabled={busy || !hasBoundary || name.trim() === ''} onclick={takeLayer}
			>Save as a layer</Button
		>
	{/if}
{/if}

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(8rem, 1fr));
		gap: 0.6rem 1rem;
		margin: 0.4rem 0;
	}
</style>
