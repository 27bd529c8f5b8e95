<script lang="ts">
	import { goto } from '$app/navigation';
	import { Search, Select, SelectItem } from 'carbon-components-svelte';
	import { quantityIn } from '$core/units/amount-text';
	import { colorFields, COLORINGS, type Coloring } from '$lib/ui/ground/map/field-colors';
	import FieldsMap from '$lib/ui/ground/map/FieldsMap.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	const MOST_LISTED = 100;
	let words = $state('');
	let chosen = $state<string | undefined>();
	let by = $state<Coloring>('crop');
	const colored = $derived(
		colorFields(
			data.fields.filter(({ onMap }) => onMap),
			by,
			data.units
		)
	);
	let count = $state<number | string | undefined>();

	const found = $derived.by(() => {
		const parts = words.toLowerCase().split(/\s+/).filter(Boolean);
		return data.fields.filter(({ name, grower }) =>
			parts.every((part) => `${name} ${grower}`.toLowerCase().includes(part))
		);
	});
	const address = (id: string) => `/field/${id}/${data.year}/ground`;
</script>

<div class="page">
	<h1>Map of all fields</h1>
	{#if data.fields.length === 0}
		<div class="empty">
			<h2>No field in the book yet</h2>
			<p><a href="/">Add one on the roster</a>, or <a href="/import">import a lab file</a>.</p>
		</div>
	{:else}
		<div class="split">
			<div class="map">
				<FieldsMap
					{chosen}
					colors={colored.colorOf}
					open={(id) => void goto(address(id))}
					loaded={(what) => (count = what)}
				/>
			</div>
			<section aria-label="Fields">
				<Select size="sm" labelText="Colour by" bind:selected={by}>
					{#each Object.entries(COLORINGS) as [id, text] (id)}<SelectItem value={id} {text} />{/each}
				</Select>
				<ul class="legend" aria-label="Legend">
					{#each colored.legend as { text, color, count: many }, at (at)}
						<li><i style:background={color}></i>{text} <span class="soft small">{many}</span></li>
					{/each}
				</ul>
				<Search size="sm" labelText="Find a field or grower" placeholder="Find a field or grower" bind:value={words} />
				<p class="soft small" role="status">
					{#if count === undefined}Drawing…{:else if typeof count === 'string'}{count}{:else}{count} of {data.fields
							.length}
						fields have a boundary.{/if}
				</p>
				<p>
					<a href={`/map/geopackage?year=${data.year}`} download>Download the ground as GeoPackage</a>, or
					<a href="/map/geopackage?year=every" download>with the rates of every year</a>
				</p>
				<ul>
					{#each found.slice(0, MOST_LISTED) as { id, name, grower, areaAc, units, onMap } (id)}
						<li class:chosen={id === chosen}>
							<a href={address(id)}>{name}</a>
							<span class="soft small">{grower}{areaAc === null ? '' : `, ${quantityIn(units, areaAc, 'ac')}`}</span>
							{#if onMap}<button
									type="button"
									class="plain small"
									aria-label={`Show ${name} on the map`}
									onclick={() => (chosen = id)}>Show</button
								>{:else}<span class="soft small">no boundary</span>{/if}
						</li>
					{/each}
				</ul>
				{#if found.length > MOST_LISTED}<p class="soft small">
						{found.length - MOST_LISTED} more: type a name to find them.
					</p>{/if}
			</section>
		</div>
	{/if}
</div>

<style>
	.split {
		display: grid;
		grid-template-columns: minmax(320px, 2fr) 1fr;
		gap: 1.6rem;
	}
	.map {
		position: relative;
		height: min(40rem, 76vh);
	}
	section {
		max-height: min(40rem, 76vh);
		overflow-y: auto;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 0.7rem;
		align-items: baseline;
		padding: 0.3rem 0.4rem;
		border-bottom: 1px solid var(--rule);
	}
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1.1rem;
		margin: 0.6rem 0 0.9rem;
	}
	.legend li {
		border: 0;
		padding: 0;
		align-items: center;
	}
	.legend i {
		width: 1.1rem;
		height: 0.8rem;
		border: 1px solid var(--rule-strong);
	}
	.chosen {
		background: var(--accent-wash);
	}
	@media (max-width: 800px) {
		.split {
			grid-template-columns: 1fr;
		}
	}
</style>
