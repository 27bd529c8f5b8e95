<!-- The trials of the book, and several sites of one question read together. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { commonTreatments } from '$core/trials/sites/site-effects';
	import { DESIGN_NAMES } from '$lib/design-names';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import NitrogenSites from '$lib/ui/trials/NitrogenSites.svelte';
	import SeveralSites from '$lib/ui/trials/SeveralSites.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Row = PageData['trials'][number];

	const common = $derived(commonTreatments(data.trials));
</script>

{#snippet nameCell({ id, name }: Row)}<a href={`/trials/${id}`}>{name}</a>{/snippet}
{#snippet saysCell({ says }: Row)}<span class="small">{says}</span>{/snippet}

<div class="page">
	<h1>Trials</h1>
	<p class="soft">
		Lay out a question on a field, spread and harvest it by the map, and read what it says and what it does not.
	</p>
	<div class="row bar">
		<Button size="small" href="/trials/new">Lay out a trial</Button>
		<Button size="small" kind="tertiary" href="/trials/calibrate">Calibrate a test from sites</Button>
	</div>
	<ListTable
		label="Trials"
		rows={data.trials}
		key={({ id }) => id}
		empty="No trial yet. Lay one out on a field with a boundary."
		columns={[
			{ name: 'Trial', of: ({ name }) => name, cell: nameCell },
			{ name: 'Field', of: ({ field }) => field },
			{ name: 'Year', of: ({ year }) => year, number: true },
			{ name: 'Design', of: ({ design }) => DESIGN_NAMES[design] },
			{ name: 'Measured', of: ({ measured, plots }) => `${measured} of ${plots}`, number: true },
			{ name: 'What it says', of: ({ says }) => says, cell: saysCell }
		]}
	/>
	{#if common.length > 1}<SeveralSites sites={data.trials} {common} />{/if}
	{#each data.nitrogen.crops as { crop, sites } (crop)}<NitrogenSites {crop} {sites} units={data.units} />{/each}
	{#each data.nitrogen.left as { site, reason }, at (at)}
		<p class="small soft">{site} has no optimum of nitrogen: {reason}.</p>
	{/each}
</div>

<style>
	.bar {
		margin-bottom: 0.8rem;
	}
</style>
