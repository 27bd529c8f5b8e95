<!-- A manure of the catalogue for this field: its rate by each nutrient, what then is over, and what is left to top up. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Pass, Product, RateNutrient } from '$core/schema-types';
	import { manureAt, manureRates, type ManureNutrient, type ManureRate as Rate } from '$core/supply/manure/manure-rate';
	import { LB_PER_SHORT_TON } from '$core/units/factors';
	import { formatNumber } from '$core/units/display';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { keptAmount } from '../forms/typed-amount';
	import { save, type YearAddress } from '../forms/call';

	interface Props {
		manures: readonly Product[];
		/** Chosen rates, lb/ac. */
		chosen: Partial<Record<RateNutrient, number>>;
		plantingDate: string;
		units: UnitSystem;
		address: YearAddress;
	}
	const { manures, chosen, plantingDate, units, address }: Props = $props();

	let id = $state(untrack(() => manures[0]?.id ?? ''));
	let own = $state('');
	let problem = $state('');
	let notice = $state('');
	const product = $derived(manures.find((one) => one.id === id) ?? manures[0]);
	const NUTRIENTS: ManureNutrient[] = ['N', 'P2O5', 'K2O', 'S', 'Mg'];
	const wanted = $derived(
		Object.fromEntries(
			NUTRIENTS.flatMap((nutrient) => (chosen[nutrient] ? [[nutrient, chosen[nutrient]] as const] : []))
		)
	);
	const perTon = $derived(
		Object.fromEntries(
			NUTRIENTS.filter((nutrient) => (product?.analysis[nutrient] ?? 0) > 0).map((nutrient) => [
				nutrient,
				(LB_PER_SHORT_TON * product!.analysis[nutrient]!) / 100
			])
		)
	);
	const ownTons = $derived.by(() => {
		const typed = keptAmount(own, undefined, unit, units);
		if (typed === undefined || typed <= 0) return undefined;
		return gallons === undefined ? typed : (typed * gallons) / LB_PER_SHORT_TON;
	});
	const rates = $derived<Rate[]>(
		product
			? [
					...(ownTons === undefined ? [] : [{ by: 'your own rate' as const, ...manureAt(ownTons, perTon, wanted) }]),
					...manureRates(perTon, wanted)
				]
			: []
	);
	const limiting = $derived(rates.find(({ by }) => by !== 'your own rate'));
	const listed = (amounts: Partial<Record<string, number>>) =>
		Object.entries(amounts)
			.map(([nutrient, pounds]) => `${nutrient} ${Math.round(valueInSystem(pounds ?? 0, 'lb/ac', units))}`)
			.join(', ') || 'nothing';

	/** Slurry goes by the gallon, as it is hauled; the rest by the ton. */
	const gallons = $derived(product?.state === 'liquid' ? product.densityLbPerGal : undefined);
	const rateOf = (tons: number): Pick<Pass, 'rate' | 'unit'> =>
		gallons === undefined
			? { rate: Math.round(tons * 1000) / 1000, unit: 'short ton/ac' }
			: { rate: Math.round((tons * LB_PER_SHORT_TON) / gallons), unit: 'gal/ac' };

	const unit = $derived(gallons === undefined ? 'short ton/ac' : 'gal/ac');
	const shownRate = (tons: number) =>
		formatNumber(valueInSystem(rateOf(tons).rate, unit, units), unitInSystem(unit, units));

	async function take(by: string, tons: number): Promise<void> {
		const pass: Pass = {
			id: `manure-${product!.id}`.slice(0, 40),
			date: plantingDate,
			label: product!.name,
			product: product!.id,
			...rateOf(tons),
			placement: product!.placements[0]!,
			reason: by === 'your own rate' ? 'At a rate of your own.' : `At the rate that ${by} sets.`
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
	<strong>{rate.by}</strong>{#if rate === limiting}&nbsp;<span class="soft small">limits</span>{/if}
{/snippet}
{#snippet overCell({ over }: Rate)}
	<span class:over={Object.keys(over).length > 0}>{listed(over)}</span>
{/snippet}
{#snippet takeCell({ by, unitsPerAcre }: Rate)}
	<Button size="small" kind="ghost" onclick={() => take(by, unitsPerAcre)}>Put it in the plan</Button>
{/snippet}

<section class="section" aria-label="Manure for this field">
	<h2>Manure and residues</h2>
	{#if !product}
		<p class="soft">
			No manure in the catalogue yet. Give one with its analysis under <a href="/products">Products</a>.
		</p>
	{:else}
		<div class="with">
			<Select size="sm" labelText="With" bind:selected={id}>
				{#each manures as { id: one, name } (one)}<SelectItem value={one} text={name} />{/each}
			</Select>
			<TextInput
				size="sm"
				labelText={`A rate of your own, ${unitInSystem(unit, units)}`}
				inputmode="decimal"
				bind:value={own}
			/>
		</div>
		{#if rates.length === 0}
			<p class="soft">Choose rates of N, P2O5 or K2O first, or give a rate of your own.</p>
		{:else}
			<ListTable
				label="Rates of manure"
				rows={rates}
				key={({ by }) => by}
				columns={[
					{ name: 'Rate by', of: ({ by }) => by, cell: byCell },
					{
						name: `Rate, ${unitInSystem(unit, units)}`,
						of: ({ unitsPerAcre }) => shownRate(unitsPerAcre),
						number: true
					},
					{ name: `Brings this year, ${unitInSystem('lb/ac', units)}`, of: ({ brings }) => listed(brings) },
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
	.with {
		display: flex;
		flex-wrap: wrap;
		gap: 1rem;
		max-width: 36rem;
		margin-bottom: 0.6rem;
	}
	.over {
		color: var(--accent-ink);
	}
</style>
