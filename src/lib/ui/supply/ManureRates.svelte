<!-- A manure of the catalogue for this field: its rate by each nutrient, what then is over, and what is left to top up. -->
<script lang="ts">
	import { Button, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Pass, Product } from '$core/schema-types';
	import { manureRates, type ManureNutrient } from '$core/supply/manure/manure-rate';
	import { LB_PER_SHORT_TON } from '$core/units/factors';
	import { formatNumber } from '$core/units/display';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { save, type YearAddress } from '../forms/call';

	interface Props {
		manures: readonly Product[];
		/** Chosen rates, lb/ac. */
		wanted: Partial<Record<ManureNutrient, number>>;
		plantingDate: string;
		address: YearAddress;
	}
	const { manures, wanted, plantingDate, address }: Props = $props();

	let id = $state(untrack(() => manures[0]?.id ?? ''));
	let problem = $state('');
	let notice = $state('');
	const product = $derived(manures.find((one) => one.id === id) ?? manures[0]);
	const NUTRIENTS: ManureNutrient[] = ['N', 'P2O5', 'K2O', 'S'];
	const perTon = $derived(
		Object.fromEntries(
			NUTRIENTS.filter((nutrient) => (product?.analysis[nutrient] ?? 0) > 0).map((nutrient) => [
				nutrient,
				(LB_PER_SHORT_TON * product!.analysis[nutrient]!) / 100
			])
		)
	);
	type Rate = ReturnType<typeof manureRates>[number];
	const rates = $derived(product ? manureRates(perTon, wanted) : []);
	const listed = (amounts: Partial<Record<string, number>>) =>
		Object.entries(amounts)
			.map(([nutrient, pounds]) => `${nutrient} ${formatNumber(Math.round(pounds ?? 0), 'lb/ac')}`)
			.join(', ') || 'nothing';

	/** Slurry goes by the gallon, as it is hauled; the rest by the ton. */
	const gallons = $derived(product?.state === 'liquid' ? product.densityLbPerGal : undefined);
	const rateOf = (tons: number): Pick<Pass, 'rate' | 'unit'> =>
		gallons === undefined
			? { rate: Math.round(tons * 100) / 100, unit: 'short ton/ac' }
			: { rate: Math.round((tons * LB_PER_SHORT_TON) / gallons), unit: 'gal/ac' };

	async function take(by: string, tons: number): Promise<void> {
		const pass: Pass = {
			id: 'manure',
			date: plantingDate,
			label: product!.name,
			product: product!.id,
			...rateOf(tons),
			placement: product!.placements[0]!,
			reason: `Manure at the rate that ${by} sets.`
		};
		problem = await save('POST /api/fields/{field}/{year}/passes', address, {
			removed: [],
			added: [pass],
			because: { kind: 'source', name: product!.name }
		});
		notice = problem
			? ''
			: 'It is in the plan, dated at planting: move it under Season, and propose the rest again from the rates.';
	}
</script>

{#snippet byCell(rate: Rate)}
	<strong>{rate.by}</strong>{#if rate === rates[0]}&nbsp;<span class="soft small">limits</span>{/if}
{/snippet}
{#snippet overCell({ over }: Rate)}
	<span class:over={Object.keys(over).length > 0}>{listed(over)}</span>
{/snippet}
{#snippet takeCell({ by, unitsPerAcre }: Rate)}
	<Button size="small" kind="ghost" onclick={() => take(by, unitsPerAcre)}>Put it in the plan</Button>
{/snippet}

<section class="section" aria-label="Manure for this field">
	<h2>Manure</h2>
	{#if !product}
		<p class="soft">
			No manure in the catalogue yet. Give one with its analysis under <a href="/products">Products</a>.
		</p>
	{:else}
		<Select size="sm" inline labelText="With" bind:selected={id}>
			{#each manures as { id: one, name } (one)}<SelectItem value={one} text={name} />{/each}
		</Select>
		{#if rates.length === 0}
			<p class="soft">Choose rates of N, P2O5 or K2O first.</p>
		{:else}
			<ListTable
				label="Rates of manure"
				rows={rates}
				key={({ by }) => by}
				columns={[
					{ name: 'Rate by', of: ({ by }) => by, cell: byCell },
					{
						name: gallons ? 'Gal/ac' : 'Tons/ac',
						of: ({ unitsPerAcre }) => formatNumber(rateOf(unitsPerAcre).rate, gallons ? 'gal' : 'short ton/ac'),
						number: true
					},
					{ name: 'Brings this year, lb/ac', of: ({ brings }) => listed(brings) },
					{ name: 'Over', of: ({ over }) => listed(over), cell: overCell },
					{ name: 'To top up', of: ({ short }) => listed(short) },
					{ name: '', cell: takeCell }
				]}
			/>
			<p class="soft small">Where nitrogen sets the rate, phosphate piles up year after year.</p>
		{/if}
	{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
</section>

<style>
	.over {
		color: var(--accent-ink);
	}
	.problem {
		color: var(--stop);
	}
</style>
