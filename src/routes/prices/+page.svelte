<!-- Every price of the book: what holds now, since when, and what it was before. -->
<script lang="ts">
	import { Button, Checkbox, InlineNotification, Search } from 'carbon-components-svelte';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { PriceFileActionBounds } from '$core/schema-types/bounds';
	import { textOfFile } from '$lib/ui/forms/files/text-of-file';
	import { formatNumber } from '$core/units/display';
	import { unitInSystem, valueInSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { call, save } from '$lib/ui/forms/call';
	import { keptAmount, typedAmount } from '$lib/ui/forms/typed-amount';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	type Item = PageData['items'][number];
	let typed = $state<Record<string, string>>({});
	/** What stood in a field before it was typed over. */
	const shownBefore: Record<string, number | null> = {};
	let problem = $state('');
	let notice = $state('');
	let everything = $state(false);
	let words = $state('');

	const byItem = $derived(new Map(data.items.map((one) => [one.item, one])));
	const rows = $derived(
		data.items
			.filter(({ item, group, price }) => everything || price !== undefined || item in typed || group === 'Nutrient')
			.filter(({ name, group }) => `${group} ${name}`.toLowerCase().includes(words.trim().toLowerCase()))
	);
	const changed = $derived(Object.values(typed).filter((text) => text.trim() !== '').length);

	function type(item: string, text: string): void {
		if (!(item in typed)) shownBefore[item] = byItem.get(item)?.price ?? null;
		typed[item] = text;
	}

	async function savePrices(): Promise<void> {
		notice = '';
		const prices: Record<string, number> = {};
		for (const [item, text] of Object.entries(typed)) {
			if (text.trim() === '') continue;
			const { price, unit = '' } = byItem.get(item) ?? {};
			const amount = keptAmount(text, price, unit, data.units);
			if (amount === undefined || amount < 0) {
				problem = `The price “${text}” of ${byItem.get(item)?.name} must be a number, 0 or more.`;
				return;
			}
			prices[item] = amount;
		}
		const seen = Object.fromEntries(Object.keys(prices).map((item) => [item, shownBefore[item] ?? null]));
		problem = await save('PATCH /api/prices', {}, { prices, seen });
		if (problem === '') typed = {};
	}

	async function importFile(file: File | undefined): Promise<void> {
		if (!file) return;
		notice = '';
		const found = await textOfFile(file, PriceFileActionBounds.csv);
		if (typeof found === 'string') return void (problem = found);
		const { answer, problem: failed } = await call('POST /api/prices/file', {}, { csv: found.text });
		problem = failed ?? '';
		if (!answer) return;
		const imported = answer.entered === 1 ? '1 price was imported.' : `${answer.entered} prices were imported.`;
		notice = imported + found.note;
	}
</script>

{#snippet priceCell({ item, name, price, unit }: Item)}
	<input
		aria-label={`Price of ${name}`}
		inputmode="decimal"
		value={typed[item] ?? typedAmount(price, unit, data.units)}
		oninput={(event) => type(item, event.currentTarget.value)}
	/>
{/snippet}
{#snippet unitCell({ unit, perPound }: Item)}
	{unitInSystem(unit, data.units)}{#if perPound}, <Quantity answer={perPound} />{/if}
{/snippet}
{#snippet sinceCell({ since }: Item)}{since ? longDate(since) : ''}{/snippet}
{#snippet changeCell({ change }: Item)}
	{#if change?.applies}{change.value > 0 ? '+' : ''}<Quantity answer={change} />{/if}
{/snippet}
{#snippet history({ history: earlier, unit }: Item)}
	{#if earlier.length > 0}
		<ul>
			{#each earlier as { since, amount } (since)}
				<li>
					{longDate(since)}: {formatNumber(valueInSystem(amount, unit, data.units), '$')}
					{unitInSystem(unit, data.units)}
				</li>
			{/each}
		</ul>
	{:else}<p class="soft">No price was ever entered.</p>{/if}
{/snippet}

<div class="page">
	<h1>Prices</h1>
	<p class="soft">
		They hold for the whole book from today on; older ones are kept by date. Open a row to see what a price was before.
	</p>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	<div class="row bar">
		<div class="words"><Search size="sm" labelText="Find an item" placeholder="Find an item" bind:value={words} /></div>
		<Checkbox labelText="Items without a price too" bind:checked={everything} />
		<span class="grow"></span>
		<Button size="small" kind="ghost" href="/prices/file" download>As CSV</Button>
		<FileButton
			label="Import from CSV"
			kind="ghost"
			accept={['.csv', 'text/csv']}
			take={(picked) => void importFile(picked)}
		/>
		<Button size="small" disabled={changed === 0} on:click={() => void savePrices()}>Save the prices</Button>
	</div>
	<ListTable
		label="Prices"
		{rows}
		key={({ item }) => item}
		expanded={history}
		columns={[
			{ name: 'Of', of: ({ group }) => group },
			{ name: 'Item', of: ({ name }) => name },
			{ name: 'Price', of: ({ price }) => price, cell: priceCell },
			{ name: 'In', of: ({ unit }) => unit, cell: unitCell },
			{ name: 'Since', of: ({ since }) => since, cell: sinceCell },
			{ name: 'Against before', of: ({ change }) => (change?.applies ? change.value : undefined), cell: changeCell }
		]}
	/>
</div>

<style>
	.bar {
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem 1.2rem;
		margin-bottom: 0.8rem;
	}
	.words {
		flex: 0 1 20rem;
	}
	.grow {
		flex: 1;
	}
	input {
		width: 5.5rem;
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		padding: 0.2rem 0.4rem;
		text-align: right;
		font-size: 0.92rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
</style>
