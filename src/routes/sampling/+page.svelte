<!-- Which fields are due for sampling, and every bag on its way from the plan to the lab and back. -->
<script lang="ts">
	import { ContentSwitcher, Switch } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import BagList from '$lib/ui/sampling/BagList.svelte';
	import FieldsToSample from '$lib/ui/sampling/FieldsToSample.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	const due = $derived(data.fields.filter((field) => field.due !== undefined).length);
	const onTheirWay = $derived(data.bags.filter(({ stage }) => stage !== 'back').length);
	let shown = $state(untrack(() => (data.bags.some(({ stage }) => stage !== 'back') ? 1 : 0)));
	let notice = $state('');

	function planned(bags: number): void {
		notice = `${bags === 1 ? '1 bag is' : `${bags} bags are`} planned. Print the labels, then pull and send.`;
		shown = 1;
	}
</script>

<div class="page">
	<div class="heading">
		<h1>Sampling plan, {data.year}</h1>
		<div class="row">
			<a href={`?year=${data.year - 1}`}>{data.year - 1}</a>
			<a href={`?year=${data.year + 1}`}>{data.year + 1}</a>
			<a href="/import">Import a lab file</a>
		</div>
	</div>
	<p class="soft">
		Each bag has a code on its label. When the lab’s file gives the code back, its results go to the right field, zone
		and depth by themselves.
	</p>
	<div class="switch">
		<ContentSwitcher size="sm" bind:selectedIndex={shown}>
			<Switch text={`Fields to sample (${due} due)`} />
			<Switch text={`Bags (${onTheirWay} under way)`} />
		</ContentSwitcher>
	</div>
	{#if notice}<p role="status">{notice}</p>{/if}
	{#if shown === 0}<FieldsToSample {data} {planned} />{:else}<BagList {data} />{/if}
</div>

<style>
	.heading {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		align-items: baseline;
		gap: 0.3rem 1rem;
	}
	.row {
		gap: 0.5rem 1rem;
	}
	.switch {
		max-width: 30rem;
		margin: 0.6rem 0 0.9rem;
	}
</style>
